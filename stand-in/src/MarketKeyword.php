<?php

declare(strict_types=1);

namespace StandIn;

/** One keyword of the made-up market with its latent demand. */
final readonly class MarketKeyword
{
    /** @param list<int> $monthly volume by calendar month, January first */
    public function __construct(
        public string $text,
        public string $subject,
        public string $thing,
        /** shop or guide: which of a domain's two pages about the thing serves it. */
        public string $page,
        public int $volume,
        public array $monthly,
        public float $difficulty,
        public ?float $cpc,
        public float $advertiserCompetition,
        /** Host whose brand it names, or empty. */
        public string $brandOf = '',
        /** Whether a provider has worked out how hard it is; it has not for a few of the rarest. */
        public bool $isRated = true,
    ) {
    }

    /** What tells its page from the other pages of a domain. */
    public function pageKey(): string
    {
        return $this->thing.' '.$this->page;
    }
}
