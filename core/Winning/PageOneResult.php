<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** One result on the first page of a keyword. */
final readonly class PageOneResult
{
    public const WEAK_STRENGTH = 20.0;

    public function __construct(
        public int $position,
        public string $url,
        /** Of the site, 0…100. */
        public ?float $authority = null,
        /** Of the page, 0…100. */
        public ?float $pageStrength = null,
        public ?int $referringDomains = null,
    ) {
    }

    /** Nobody links to the page. */
    public function hasNoLinks(): bool
    {
        return $this->referringDomains === 0;
    }

    public function isWeakPage(): bool
    {
        return $this->pageStrength !== null && $this->pageStrength <= self::WEAK_STRENGTH;
    }

    /** Nobody links to it, or its page is weak: a place that can be taken. */
    public function isWeak(): bool
    {
        return $this->hasNoLinks() || $this->isWeakPage();
    }
}
