<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** What work on one keyword can bring; null where it is unknown. */
final readonly class Prospect
{
    public function __construct(
        /** The chance to reach the target whatever the effect of work; page one where we are absent. */
        public ?float $reach,
        /** The chance to reach the target. */
        public ?float $winChance,
        /** Visits a month, over all places that it may come to. */
        public ?float $expectedGain,
    ) {
    }
}
