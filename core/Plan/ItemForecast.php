<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Winning\FinishedItem;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlaceChances;

/**
 * What was forecast for a page when it was put on the roadmap, to be held against what happens. It is kept with the item and never
 * computed again.
 *
 * @phpstan-type KeptKeyword array{keyword: string, position?: ?int, searches?: int|float|null, visits?: int|float|null,
 *     chances?: ?list<int|float>}
 * @phpstan-type KeptForecast array{month?: ?string, lead: string, kind?: ?string, win_chance?: int|float|null,
 *     expected_gain?: int|float|null, gain?: int|float|null, position?: ?int, target?: ?int, moving_share?: int|float|null,
 *     title_success?: int|float|null, ramp?: ?int, band?: ?array{p10: int|float, p50: int|float, p90: int|float, mean: int|float},
 *     season?: ?list<int|float>, curve?: ?list<int|float>, keywords?: list<KeptKeyword>}
 */
final readonly class ItemForecast
{
    /** @param list<ForecastKeyword> $keywords that counted in it then */
    public function __construct(
        /** In which it was planned; null where that was not kept. */
        public ?Month $month,
        public string $lead,
        /** Whether we had a page then; null where that was not kept. */
        public ?PageKind $kind,
        /** Of the lead; null unknown, as all that follow. */
        public ?float $winChance,
        /** Visits a month. */
        public ?float $expectedGain,
        /** Visits a month where all keywords reach their targets. */
        public ?float $gain,
        /** Of the lead; null when absent. */
        public ?int $position,
        public ?int $target,
        /** Share of existing pages that move at all, as it was assumed then. */
        public float $movingShare,
        /** Chance of a title test; null for other work. */
        public ?float $titleSuccess,
        /** Months until it pays in full. */
        public int $ramp,
        /** Of the visits a month, paying in full at a mean month; null where it was not kept. */
        public ?Band $band,
        public Season $season,
        public CtrCurve $curve,
        public array $keywords,
    ) {
    }

    /**
     * The same in a forecast of several items.
     *
     * @param ?Month $counted the month of the newest snapshot
     */
    public function promise(string $name, Month $done, ?Month $counted = null): ForecastItem
    {
        return new ForecastItem($name, $this->gains(), $this->season, $done, $this->ramp, $counted);
    }

    /** Visits a month that its keywords brought then. */
    public function visitsThen(): float
    {
        return array_sum(array_map(static fn(ForecastKeyword $one): float => $one->visits ?? 0.0, $this->keywords));
    }

    /**
     * Visits a month that its keywords bring at our positions now, at the searches and by the curve of then, so that nothing but positions
     * makes a difference.
     *
     * @param array<string, ?int> $positions keyword → our best position now; absent where it is missing
     */
    public function visitsNow(array $positions): float
    {
        $now = 0.0;
        foreach ($this->keywords as $one) {
            $position = $positions[$one->keyword] ?? null;
            $now += $position === null ? 0.0 : ($one->searches ?? 0.0) * $this->curve->at($position);
        }

        return $now;
    }

    /**
     * Visits a month beyond those then.
     *
     * @param array<string, ?int> $positions as visitsNow() takes them
     */
    public function added(array $positions): float
    {
        return $this->visitsNow($positions) - $this->visitsThen();
    }

    /** Whether the lead is at its target or better; null where no target was kept, and for a title test, which moves no positions. */
    public function isReached(?int $position): ?bool
    {
        return $this->target === null || $this->titleSuccess !== null ? null : $position !== null && $position <= $this->target;
    }

    /**
     * What it teaches, once it is finished; null for a title test, and where the model knew nothing of its lead.
     *
     * @param ?int $now where the lead ranks in the newest snapshot
     */
    public function finished(?int $now): ?FinishedItem
    {
        $chances = $this->leadChances();
        if ($this->kind === null || $this->target === null || $this->titleSuccess !== null || $chances === null) {
            return null;
        }

        return new FinishedItem($this->kind, $chances, $this->position, $this->target, $this->movingShare, $now);
    }

    private function leadChances(): ?PlaceChances
    {
        foreach ($this->keywords as $one) {
            if ($one->keyword === $this->lead) {
                return $one->chances;
            }
        }

        return null;
    }

    private function gains(): PlaceGains
    {
        if ($this->titleSuccess !== null) {
            return PlaceGains::title($this->gain ?? 0.0, $this->titleSuccess);
        }
        $worked = [];
        foreach ($this->keywords as $one) {
            if ($this->kind !== null && $one->chances !== null && $one->searches !== null) {
                $worked[] = new WorkedKeyword($this->kind, $one->chances, $one->position, $one->searches);
            }
        }

        return PlaceGains::of($worked, $this->curve, $this->movingShare);
    }

    /** @return KeptForecast */
    public function toArray(): array
    {
        return [
            'month' => $this->month?->__toString(),
            'lead' => $this->lead,
            'kind' => $this->kind?->value,
            'win_chance' => $this->winChance,
            'expected_gain' => $this->expectedGain,
            'gain' => $this->gain,
            'position' => $this->position,
            'target' => $this->target,
            'moving_share' => $this->movingShare,
            'title_success' => $this->titleSuccess,
            'ramp' => $this->ramp,
            'band' => $this->band === null ? null : (array) $this->band,
            'season' => $this->season->indices(),
            'curve' => $this->curve->rates(),
            'keywords' => array_map(static fn(ForecastKeyword $one): array => [
                'keyword' => $one->keyword,
                'position' => $one->position,
                'searches' => $one->searches,
                'visits' => $one->visits,
                'chances' => $one->chances?->atBounds(),
            ], $this->keywords),
        ];
    }

    /** @param KeptForecast $kept as toArray() gave it, numbers as JSON may have changed them */
    public static function fromArray(array $kept): self
    {
        $number = static fn(int|float|null $value): ?float => $value === null ? null : (float) $value;
        $band = $kept['band'] ?? null;

        return new self(
            isset($kept['month']) ? Month::parse($kept['month']) : null,
            $kept['lead'],
            PageKind::tryFrom($kept['kind'] ?? ''),
            $number($kept['win_chance'] ?? null),
            $number($kept['expected_gain'] ?? null),
            $number($kept['gain'] ?? null),
            $kept['position'] ?? null,
            $kept['target'] ?? null,
            (float) ($kept['moving_share'] ?? 0),
            $number($kept['title_success'] ?? null),
            $kept['ramp'] ?? 1,
            $band === null ? null : new Band((float) $band['p10'], (float) $band['p50'], (float) $band['p90'], (float) $band['mean']),
            isset($kept['season']) ? Season::ofIndices($kept['season']) : Season::steady(),
            isset($kept['curve']) ? CtrCurve::ofRates(array_map(floatval(...), $kept['curve'])) : CtrCurve::default(),
            array_map(static fn(array $one): ForecastKeyword => new ForecastKeyword(
                $one['keyword'],
                $one['position'] ?? null,
                $number($one['searches'] ?? null),
                $number($one['visits'] ?? null),
                isset($one['chances']) ? new PlaceChances(array_map(floatval(...), $one['chances'])) : null,
            ), $kept['keywords'] ?? []),
        );
    }
}
