<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** One way to work on a keyword and what it can bring; null where it is unknown. */
final readonly class Work
{
    public function __construct(
        public TacticLabel $tactic,
        /** Position aimed at. */
        public int $target,
        /** Visits a month at the target beyond those now. */
        public ?float $gain,
        /** The chance to reach the target. */
        public ?float $winChance,
        /** Visits a month. */
        public ?float $expectedGain,
        /** The chance to reach the target whatever the effect of work; page one where we are absent. */
        public ?float $reach,
    ) {
    }
}
