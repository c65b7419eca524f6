<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\LearnEffect;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Plan\SaidKeyword;

/**
 * What came of finished items: visits now against what was said, all of them together by month, and the share of clicks.
 *
 * @phpstan-import-type TrackedItem from ReadOutcomes
 * @phpstan-import-type SharesOfDay from ReadShares
 * @phpstan-type TrackedMonth array{day: string, p10: float, p50: float, p90: float, mean: float, achieved: float, items: int}
 * @phpstan-type Track array{newest: ?string, items: list<TrackedItem>, months: list<TrackedMonth>, elsewhere: object,
 *     effect: array{share: float, items: int, is_learnt: bool},
 *     calibration: ?array{items: int, said: float, happened: float, inside: float}, shares: list<SharesOfDay>, published: list<string>}
 */
final readonly class ReadTrack
{
    private const DAYS = 18;

    public function __construct(private ReadOutcomes $outcomes, private ReadShares $shares, private LearnEffect $effect)
    {
    }

    /** @return Track */
    public function execute(Study $study): array
    {
        /** @var list<PlanItem> $items */
        $items = PlanItem::of($study)->where('status', 'done')->orderBy('done_month')->orderBy('id')->get()->all();
        $keywords = array_map(
            static fn(PlanItem $item): array => [
                $item->lead,
                ...array_map(static fn(SaidKeyword $one): string => $one->keyword, $item->said->keywords ?? []),
            ],
            $items,
        );
        $places = OwnPlaces::of($study, array_merge([], ...$keywords), self::DAYS);
        $outcomes = $this->outcomes->execute($study, $items, $places);
        $effect = $this->effect->execute($study);

        return [
            'newest' => $places->newest(),
            'items' => $outcomes,
            'months' => self::months($study, $items, $places),
            'elsewhere' => (object) PlanItem::elsewhere($study),
            'effect' => ['share' => $effect->share, 'items' => $effect->items, 'is_learnt' => $effect->isLearnt],
            'calibration' => self::calibration($outcomes),
            'shares' => $this->shares->execute($study),
            'published' => array_values(array_unique(array_map(static fn(PlanItem $item): string => (string) $item->done_month, $items))),
        ];
    }

    /**
     * All that was said of finished items against all that they have added, on each of our days since the first was done.
     *
     * @param list<PlanItem> $items
     *
     * @return list<TrackedMonth>
     */
    private static function months(Study $study, array $items, OwnPlaces $places): array
    {
        $said = array_values(array_filter($items, static fn(PlanItem $item): bool => $item->said !== null));
        $first = $said === [] ? null : $said[0]->done_month;
        $days = array_values(array_filter($places->days(), static fn(string $day): bool => substr($day, 0, 7) > (string) $first));
        if ($first === null || $days === []) {
            return [];
        }
        $promises = array_map(
            static fn(PlanItem $item): ForecastItem => ($item->said ?? throw new \LogicException('It was said.'))
                ->promise($item->drawsAs(), Month::parse((string) $item->done_month)),
            $said,
        );
        $months = array_map(static fn(string $day): Month => Month::parse(substr($day, 0, 7)), $days);
        $told = [];
        foreach (RememberedBands::of($study, $promises, $months) as $number => $band) {
            $done = array_filter($said, static fn(PlanItem $item): bool => (string) $item->done_month < (string) $months[$number]);
            $added = array_map(static fn(PlanItem $item): float => $item->said?->added($places->on($days[$number])) ?? 0.0, $done);
            $told[] = ['day' => $days[$number], ...(array) $band, 'achieved' => array_sum($added), 'items' => \count($done)];
        }

        return $told;
    }

    /**
     * What was said against what happened, for items past their ramp: the mean win chance, and the share that reached their target.
     *
     * @param list<TrackedItem> $outcomes
     *
     * @return ?array{items: int, said: float, happened: float, inside: float}
     */
    private static function calibration(array $outcomes): ?array
    {
        $ripe = array_values(
            array_filter(
                $outcomes,
                static fn(array $item): bool => $item['outcome'] !== null && $item['outcome'] !== Outcome::TooEarly->value,
            ),
        );
        $count = \count($ripe);

        return $count === 0
            ? null
            : [
                'items' => $count,
                'said' => array_sum(array_column($ripe, 'win_chance')) / $count,
                'happened' => \count(array_filter($ripe, static fn(array $item): bool => $item['is_reached'] === true)) / $count,
                'inside' =>
                    \count(array_filter($ripe, static fn(array $item): bool => $item['outcome'] === Outcome::Inside->value)) / $count,
            ];
    }
}
