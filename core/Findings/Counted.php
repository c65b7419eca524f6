<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

/** The rows that a sentence shows, counted. */
final readonly class Counted
{
    public function __construct(
        public string $show,
        public int $keywords,
        /** Visits a month that they could be expected to bring, of those of which it is known; null where it is of none. */
        public ?float $expectedGain,
    ) {
    }
}
