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
     * where most pages stay as they are the band begins at exactly 0. For the same reason whole visits are compared.
     */
    public function holds(float $net, bool $isUnclear): bool
    {
        $isInside = fn(float $visits): bool => round($visits) >= floor($this->p10) && round($visits) <= ceil($this->p90);

        return $isInside($net) || ($isUnclear && $isInside(0.0));
    }

    /** A share of it, as in a month before it pays in full. */
    public function times(float $share): self
    {
        return new self($share * $this->p10, $share * $this->p50, $share * $this->p90, $share * $this->mean);
    }
}
