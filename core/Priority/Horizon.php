<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** How soon an opportunity can pay. */
enum Horizon: string
{
    case QuickWin = 'quick win';
    case ShortTerm = 'short term';
    case LongTerm = 'long term';
}
