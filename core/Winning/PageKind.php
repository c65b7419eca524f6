<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** Whether we have a page for a topic already. */
enum PageKind: string
{
    case New = 'new';
    case Existing = 'existing';
}
