<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

/** A stage of the path on which a finding is followed up. */
enum Stage: string
{
    case Gather = 'gather';
    case Compare = 'compare';
    case Weigh = 'weigh';
    case Track = 'track';
}
