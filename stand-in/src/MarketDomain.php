<?php

declare(strict_types=1);

namespace StandIn;

/** One domain of the made-up market. */
final readonly class MarketDomain
{
    public function __construct(
        public string $host,
        public string $name,
        /** 0…100. */
        public float $authority,
        /** Share of the things of a subject that it has pages for, 0…1. */
        public float $coverage,
        /** Strength it gains from month to month. */
        public float $growth,
        /** Subjects it does best. */
        public string $specialities,
        public int $referringDomains,
    ) {
    }
}
