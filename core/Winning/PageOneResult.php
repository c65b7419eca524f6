<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Exception\Bounds;
use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Keyword\Words;

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
        public ?string $title = null,
    ) {
        InvalidArgument::unless(
            $position >= 1 && $url !== '' && Bounds::hold(0, 100, $authority, $pageStrength) && Bounds::hold(0, INF, $referringDomains),
            'A result has a position from 1, a page, strengths between 0 and 100, and no fewer links than none.',
        );
    }

    /** No one links to the page. */
    public function hasNoLinks(): bool
    {
        return $this->referringDomains === 0;
    }

    public function isWeakPage(): bool
    {
        return $this->pageStrength !== null && $this->pageStrength <= self::WEAK_STRENGTH;
    }

    /** No one links to it, or its page is weak: a place that can be taken. */
    public function isWeak(): bool
    {
        return $this->hasNoLinks() || $this->isWeakPage();
    }

    /** Whether its title lacks a word of the keyword, and so answers something else; null where the title is unknown. */
    public function isOffTopic(string $keyword): ?bool
    {
        return $this->title === null || $this->title === ''
            ? null
            : array_diff(Words::of($keyword), Words::of(mb_strtolower($this->title, 'UTF-8'))) !== [];
    }
}
