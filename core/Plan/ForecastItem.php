<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\Misuse;

/** What one planned item promises. */
final readonly class ForecastItem
{
    public function __construct(
        /** Visits a month when it is won, at a mean month. */
        public float $gain,
        /** 0…1. */
        public float $winChance,
        public Season $season,
        /** The month at whose end it is done. */
        public Month $done,
        /** Months until it pays in full, ≥ 1. */
        public int $ramp,
    ) {
        Misuse::unless(
            $gain >= 0 && $winChance >= 0 && $winChance <= 1 && $ramp >= 1,
            'What is promised is no less than 0 visits, a chance between 0 and 1, and a ramp of at least a month.',
        );
    }

    /** Visits it adds in a month when it is won: gain · season · min(1, months since done ÷ ramp). */
    public function visitsIn(Month $month): float
    {
        $since = $this->done->until($month);

        return $since <= 0 ? 0.0 : $this->gain * $this->season->index($month->ofYear()) * min(1.0, $since / $this->ramp);
    }
}
