<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Winning\PlaceChances;

/** One keyword of a page as it was when the page was planned. */
final readonly class ForecastKeyword
{
    public function __construct(
        public string $keyword,
        /** Our best position; null when absent. */
        public ?int $position,
        /** Searches a month that a result could win then, after what features of the results page answer; null unknown. */
        public ?float $searches,
        /** Visits a month that our position brought; null unknown. */
        public ?float $visits,
        /** Of pages like it, without the effect of work; null where the difficulty was unknown. */
        public ?PlaceChances $chances = null,
    ) {
    }
}
