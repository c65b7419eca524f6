<?php

declare(strict_types=1);

namespace GreaterReach\Core\Pages;

/** Pages of one keyword, by their numbers in the graph; home pages left out. */
final readonly class KeywordPages
{
    public function __construct(
        /** @var list<int> number and best position by turns, at whatever position */
        public array $flat,
        /** Our best page, where it ranks within the graph's top; null where it ranks worse, is a home page or has no URL. */
        public ?int $ownBest,
    ) {
    }
}
