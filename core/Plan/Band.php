<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** A forecast for one month in visits: the 10th, 50th and 90th percentile of the draws beside the exact mean. */
final readonly class Band
{
    public function __construct(public float $p10, public float $p50, public float $p90, public float $mean)
    {
    }

    /**
     * Whether a net result lies in it. One that cannot be told from no change at all counts as none: pages move a little by themselves, and
     * where most pages stay as they are the band begins at exactly 0.
     */
    public function holds(float $net, bool $isUnclear): bool
    {
        $result = $isUnclear ? 0.0 : $net;

        return ($result >= $this->p10 && $result <= $this->p90) || ($net >= $this->p10 && $net <= $this->p90);
    }

    /** A share of it, as in a month before it pays in full. */
    public function times(float $share): self
    {
        return new self($share * $this->p10, $share * $this->p50, $share * $this->p90, $share * $this->mean);
    }
}
