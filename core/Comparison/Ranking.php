<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

use GreaterReach\Core\Exception\InvalidArgument;

/** One page of a domain at one position (1…100) for one keyword, in one snapshot. */
final readonly class Ranking
{
    public const WORST_POSITION = 100;

    public function __construct(
        public string $keyword,
        public int $position,
        /** URL key, or null where the source names no page. */
        public ?string $url = null,
        /** Features of the results page as the source tells them, separated by semicolons. */
        public ?string $features = null,
    ) {
        if ($keyword === '' || $position < 1 || $position > self::WORST_POSITION) {
            throw InvalidArgument::because('A ranking needs a keyword and a position from 1 to 100.');
        }
    }

    /** Better by position; ties by the smaller URL key in bytes, a known page before none. */
    public function isBetterThan(self $other): bool
    {
        if ($this->position !== $other->position) {
            return $this->position < $other->position;
        }
        if ($this->url === null) {
            return false;
        }

        return $other->url === null || strcmp($this->url, $other->url) < 0;
    }
}
