<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** The band of positions just short of good, where a small step brings much (common practice: 6 to 20). */
final readonly class StrikingDistance
{
    public function __construct(public int $from = 6, public int $to = 20)
    {
    }

    public function holds(?int $position): bool
    {
        return $position !== null && $position >= $this->from && $position <= $this->to;
    }
}
