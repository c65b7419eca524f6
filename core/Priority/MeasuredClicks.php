<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** Our own clicks and impressions for a keyword, summed over the newest performance import. */
final readonly class MeasuredClicks
{
    public const FEWEST_IMPRESSIONS = 100;

    public function __construct(public int $clicks, public int $impressions)
    {
    }

    /** Measured click-through rate, or null with too few impressions to judge by. */
    public function rate(): ?float
    {
        return $this->impressions < self::FEWEST_IMPRESSIONS ? null : $this->clicks / $this->impressions;
    }
}
