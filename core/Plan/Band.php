<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** A forecast for one month in visits: the 10th, 50th and 90th percentile of the draws beside the exact mean. */
final readonly class Band
{
    public function __construct(public float $p10, public float $p50, public float $p90, public float $mean)
    {
    }

    /** A share of it, as in a month before it pays in full. */
    public function times(float $share): self
    {
        return new self($share * $this->p10, $share * $this->p50, $share * $this->p90, $share * $this->mean);
    }
}
