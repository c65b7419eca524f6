<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** Plan for a goal: the plan that reaches it or, where none does, the plan of the largest capacity that was tried. */
final readonly class GoalAnswer
{
    /** @param list<Placement> $placements */
    public function __construct(
        /** Days a month. */
        public float $capacity,
        public array $placements,
        /** Share of the draws that reach the goal. */
        public float $share,
        /** Visits a month that this plan reaches with the odds asked for. */
        public float $reached,
        public bool $isReached,
    ) {
    }

    /** The same plan at another capacity. */
    public function with(float $capacity): self
    {
        return new self($capacity, $this->placements, $this->share, $this->reached, $this->isReached);
    }
}
