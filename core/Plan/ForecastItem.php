<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

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
    }

    /** Visits it adds in a month when it is won: gain · season · min(1, months since done ÷ ramp). */
    public function visitsIn(Month $month): float
    {
        $since = $this->done->until($month);

        return $since <= 0 ? 0.0 : $this->gain * $this->season->index($month->ofYear()) * min(1.0, $since / $this->ramp);
    }
}
