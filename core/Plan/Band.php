<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** A forecast for one month in visits: the 10th, 50th and 90th percentile of the draws beside the exact mean. */
final readonly class Band
{
    public function __construct(public float $p10, public float $p50, public float $p90, public float $mean)
    {
    }
}
