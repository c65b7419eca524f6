<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** What can be expected of one keyword; null where it is unknown. */
final readonly class Prospect
{
    public function __construct(
        /** The chance to reach the target if the page moves, whatever the effect; page one where we are absent. */
        public ?float $reach,
        /** The chance to reach the target. */
        public ?float $winChance,
        /** Visits a month, over all places that it may come to. */
        public ?float $expectedGain,
    ) {
    }
}
