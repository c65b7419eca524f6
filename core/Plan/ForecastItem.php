<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Winning\Shifts;

/** One planned item in a forecast. */
final readonly class ForecastItem
{
    public function __construct(
        /** Tells it from the others: it draws the same numbers in every plan. */
        public string $name,
        public PlaceGains $gains,
        public Season $season,
        /** The month at whose end it is done. */
        public Month $done,
        /** Months until it pays in full, ≥ 1. */
        public int $ramp,
        /** The month of the newest snapshot, whose visits hold what a finished item has brought; null where the work is still to do. */
        public ?Month $counted = null,
    ) {
        InvalidArgument::unless($ramp >= 1, 'A ramp takes at least a month.');
    }

    /** The share of its gain that a month sees beyond today's visits: season · min(1, months since done ÷ ramp), less what has come. */
    public function shareIn(Month $month): float
    {
        $come = $this->counted === null ? 0.0 : $this->rampedBy($this->counted);

        return $this->season->index($month->ofYear()) * max(0.0, $this->rampedBy($month) - $come);
    }

    public function paysIn(Month $month): bool
    {
        return $this->shareIn($month) > 0.0;
    }

    /** Visits a month once it pays in full, at a mean month. */
    public function expectedGain(Shifts $means): float
    {
        return $this->gains->mean($means);
    }

    private function rampedBy(Month $month): float
    {
        return max(0.0, min(1.0, $this->done->until($month) / $this->ramp));
    }
}
