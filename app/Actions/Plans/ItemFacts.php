<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Plan\WeighedTopic;
use GreaterReach\Core\Priority\Tactic;

/** What the comparison on show says about one item of a roadmap. */
final readonly class ItemFacts
{
    /**
     * @param list<WeighedRow>       $open     keywords that count in it, in key order
     * @param array<string, Metrics> $years  keyword → its monthly volumes; empty where its season is not wanted
     * @param ?array{reason: string} $setAside null while a keyword counts in it, or no one set one aside
     */
    public function __construct(
        /** As it is called now; null where it is no topic of the comparison any more. */
        public ?string $topic,
        /** Null where no keyword counts in it. */
        public ?WeighedTopic $weighed,
        public array $open,
        public array $years,
        public ?array $setAside,
        private ?ForecastPages $promises,
    ) {
    }

    /** Visits a month that work on it can be expected to bring; null unknown. */
    public function expectedGain(): ?float
    {
        return $this->weighed?->work->expectedGain;
    }

    /** The row of its lead; null where no keyword counts in it. */
    public function lead(): ?WeighedRow
    {
        foreach ($this->open as $row) {
            if ($row->keyword === $this->weighed?->lead->keyword) {
                return $row;
            }
        }

        return null;
    }

    public function season(): Season
    {
        return Season::together(array_map(fn(WeighedRow $row): Metrics => $this->years[$row->keyword], $this->open));
    }

    /** What work on it can bring by a tactic; nothing while nothing is known. */
    public function gains(Tactic $tactic): PlaceGains
    {
        return $this->promises?->gains($this->open, $tactic, $this->weighed?->work->gain) ?? PlaceGains::title(0.0, 0.0);
    }
}
