<?php

declare(strict_types=1);

namespace GreaterReach\Core\Results;

/** The positions of results that anything is known of. */
final class Places
{
    public const BEST = 1;
    public const WORST = 100;
}
