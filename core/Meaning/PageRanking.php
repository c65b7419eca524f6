<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

/** One page of one compared domain that ranks for a keyword: what topics are read from. */
final readonly class PageRanking
{
    public function __construct(
        public string $keyword,
        /** Number of the domain, ours 0. */
        public int $domain,
        public string $url,
        public int $position,
    ) {
    }
}
