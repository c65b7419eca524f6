<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlaceChances;

/** One keyword of a page that is worked on. */
final readonly class WorkedKeyword
{
    public function __construct(
        public PageKind $kind,
        /** Of pages like it, without the effect of work. */
        public PlaceChances $chances,
        /** Ours now; null when absent. */
        public ?int $position,
        /** Searches a month that can be won. */
        public float $searches,
    ) {
    }
}
