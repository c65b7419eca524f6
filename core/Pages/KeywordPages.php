<?php

declare(strict_types=1);

namespace GreaterReach\Core\Pages;

/** Pages of one keyword, by their numbers in the graph. */
final readonly class KeywordPages
{
    public function __construct(
        /** @var list<int> each once */
        public array $pages,
        /** @var list<?int> of every domain that page which has its best position; null where it is none of the graph's */
        public array $best,
    ) {
    }
}
