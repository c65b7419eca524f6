<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;

/**
 * What was said of a page when it was put on the roadmap, to be held against what comes of it. It is kept with the item and never worked
 * out anew.
 *
 * @phpstan-type KeptKeyword array{keyword: string, position?: ?int, searches?: int|float|null, visits?: int|float|null}
 * @phpstan-type KeptSaid array{month?: ?string, lead: string, reach?: int|float|null, win_chance?: int|float|null,
 *     expected_gain?: int|float|null, gain?: int|float|null, position?: ?int, target?: ?int, effect?: int|float|null, ramp?: ?int,
 *     ends?: list<int|float>, gains?: list<int|float>, band?: ?array{p10: int|float, p50: int|float, p90: int|float, mean: int|float},
 *     season?: ?list<int|float>, curve?: ?list<int|float>, keywords?: list<KeptKeyword>}
 */
final readonly class Said
{
    /** @param list<SaidKeyword> $keywords that counted in it then */
    public function __construct(
        /** In which it was planned; null where that was not kept. */
        public ?Month $month,
        public string $lead,
        /** Chance that the lead comes to its target if the page moves, 0…1; null unknown, as all that follow. */
        public ?float $reach,
        /** Of the lead, the effect included. */
        public ?float $winChance,
        /** Visits a month. */
        public ?float $expectedGain,
        /** Visits a month where all keywords come to their targets. */
        public ?float $gain,
        /** Of the lead; null when absent. */
        public ?int $position,
        public ?int $target,
        /** Chance that a page moves at all when worked on. */
        public float $effect,
        /** Months until it pays in full. */
        public int $ramp,
        public PlaceGains $gains,
        /** Of the visits a month, paying in full at a mean month; null where it was not kept. */
        public ?Band $band,
        public Season $season,
        public CtrCurve $curve,
        public array $keywords,
    ) {
    }

    /** The same in a forecast of several items. */
    public function promise(string $name, Month $done): ForecastItem
    {
        return new ForecastItem($name, $this->gains, $this->effect, $this->season, $done, $this->ramp);
    }

    /** Visits a month that its keywords brought then. */
    public function visitsThen(): float
    {
        return array_sum(array_map(static fn(SaidKeyword $one): float => $one->visits ?? 0.0, $this->keywords));
    }

    /**
     * Visits a month that its keywords bring where they stand now beyond those then, at the searches and by the curve of then, so that
     * nothing but positions makes a difference.
     *
     * @param array<string, ?int> $positions keyword → our best position now; absent where it is missing
     */
    public function added(array $positions): float
    {
        $now = 0.0;
        foreach ($this->keywords as $one) {
            $position = $positions[$one->keyword] ?? null;
            $now += $position === null ? 0.0 : ($one->searches ?? 0.0) * $this->curve->at($position);
        }

        return $now - $this->visitsThen();
    }

    /** Whether the lead stands at its target or above; null where no target was said. */
    public function isReached(?int $position): ?bool
    {
        return $this->target === null ? null : $position !== null && $position <= $this->target;
    }

    /** @return KeptSaid */
    public function toArray(): array
    {
        return [
            'month' => $this->month?->__toString(),
            'lead' => $this->lead,
            'reach' => $this->reach,
            'win_chance' => $this->winChance,
            'expected_gain' => $this->expectedGain,
            'gain' => $this->gain,
            'position' => $this->position,
            'target' => $this->target,
            'effect' => $this->effect,
            'ramp' => $this->ramp,
            ...$this->gains->toArray(),
            'band' => $this->band === null ? null : (array) $this->band,
            'season' => $this->season->indices(),
            'curve' => $this->curve->rates(),
            'keywords' => array_map(static fn(SaidKeyword $one): array => (array) $one, $this->keywords),
        ];
    }

    /** @param KeptSaid $kept as toArray() gave it, numbers as JSON may have changed them */
    public static function fromArray(array $kept): self
    {
        $number = static fn(int|float|null $value): ?float => $value === null ? null : (float) $value;
        $band = $kept['band'] ?? null;

        return new self(
            isset($kept['month']) ? Month::parse($kept['month']) : null,
            $kept['lead'],
            $number($kept['reach'] ?? null),
            $number($kept['win_chance'] ?? null),
            $number($kept['expected_gain'] ?? null),
            $number($kept['gain'] ?? null),
            $kept['position'] ?? null,
            $kept['target'] ?? null,
            (float) ($kept['effect'] ?? 0),
            $kept['ramp'] ?? 1,
            PlaceGains::kept($kept['ends'] ?? [], $kept['gains'] ?? []),
            $band === null ? null : new Band((float) $band['p10'], (float) $band['p50'], (float) $band['p90'], (float) $band['mean']),
            isset($kept['season']) ? Season::ofIndices($kept['season']) : Season::steady(),
            isset($kept['curve']) ? CtrCurve::ofRates(array_map(floatval(...), $kept['curve'])) : CtrCurve::default(),
            array_map(static fn(array $one): SaidKeyword => new SaidKeyword(
                $one['keyword'],
                $one['position'] ?? null,
                $number($one['searches'] ?? null),
                $number($one['visits'] ?? null),
            ), $kept['keywords'] ?? []),
        );
    }
}
