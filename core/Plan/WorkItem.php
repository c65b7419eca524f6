<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** One piece of work that could be planned. */
final readonly class WorkItem
{
    public function __construct(
        public string $keyword,
        /** Days of work. */
        public float $effort,
        /** Visits a month, win chance included. */
        public float $expectedGain,
        public bool $isPinned = false,
    ) {
    }

    /** Half days, rounded up. */
    public function units(): int
    {
        return (int) ceil(round($this->effort * AutoPlan::UNITS_PER_DAY, 9));
    }
}
