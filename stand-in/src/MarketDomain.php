<?php

declare(strict_types=1);

namespace StandIn;

/** One domain of the made-up market. */
final readonly class MarketDomain
{
    /** @param array<string, float> $strengths subject → how much better it is there than elsewhere, in natural logarithms of a place */
    public function __construct(
        public string $host,
        public string $name,
        /** 0…100. */
        public float $authority,
        /** Share of the things that it has pages for, 0…1. */
        public float $coverage,
        /** Strength that it gains from month to month. */
        public float $growth,
        public array $strengths,
        public int $referringDomains,
        /** Month in which it opens. */
        public int $since = 0,
        /** How much rarer its pages to buy from are, 0…1. */
        public float $withoutShop = 0.0,
    ) {
    }

    public function strengthIn(string $subject): float
    {
        return $this->strengths[$subject] ?? 0.0;
    }
}
