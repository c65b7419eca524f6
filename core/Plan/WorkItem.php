<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;

/** One piece of work that could be planned. */
final readonly class WorkItem
{
    public function __construct(
        /** The topic, or the keyword, that it serves. */
        public string $name,
        /** Days of work. */
        public float $effort,
        /** Visits a month, win chance included. */
        public float $expectedGain,
        public bool $isPinned = false,
    ) {
        InvalidArgument::unless(
            $name !== '' && $effort >= 0 && is_finite($effort) && $expectedGain >= 0,
            'Work has a name, and neither its effort nor what it brings is less than 0.',
        );
    }

    /** Expected visits a month per day of work. */
    public function worth(): float
    {
        return $this->effort > 0.0 ? $this->expectedGain / $this->effort : INF;
    }

    /** Half days, rounded up. */
    public function units(): int
    {
        return (int) ceil(round($this->effort * AutoPlan::UNITS_PER_DAY, 9));
    }
}
