<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/** What one page of a domain brings: its keywords, visits a month, traffic leader, and what of it we lack. */
final readonly class PageTally
{
    public function __construct(
        public string $url,
        public int $keywords,
        /** Visits a month from the keywords whose volume is known. */
        public float $visits,
        /** The keyword that brings it the most visits, which is often not the one first searched; ties: key order. */
        public string $trafficLeader,
        public int $weLack,
        /** 0…1 of all visits of the domain; null when it has none. */
        public ?float $shareOfVisits,
    ) {
    }
}
