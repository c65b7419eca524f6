<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\Misuse;

/** What one planned item promises. */
final readonly class ForecastItem
{
    public function __construct(
        /** Tells it from the others: it draws the same numbers in every plan. */
        public string $name,
        public PlaceGains $gains,
        /** Chance that the page moves at all when worked on, 0…1. */
        public float $effect,
        public Season $season,
        /** The month at whose end it is done. */
        public Month $done,
        /** Months until it pays in full, ≥ 1. */
        public int $ramp,
    ) {
        Misuse::unless($effect >= 0 && $effect <= 1 && $ramp >= 1, 'An effect lies between 0 and 1, and a ramp takes at least a month.');
    }

    /** The share of its gain that a month sees: season · min(1, months since done ÷ ramp). */
    public function shareIn(Month $month): float
    {
        $since = $this->done->until($month);

        return $since <= 0 ? 0.0 : $this->season->index($month->ofYear()) * min(1.0, $since / $this->ramp);
    }

    public function paysIn(Month $month): bool
    {
        return $this->shareIn($month) > 0.0;
    }

    /** Visits a month to expect once it pays in full, at a mean month. */
    public function expectedGain(): float
    {
        return $this->effect * $this->gains->mean();
    }
}
