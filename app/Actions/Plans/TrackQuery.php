<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\ForecastKeyword;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Plan\Unit;

/**
 * What came of finished items: visits now against what was said, all of them together by month, and the share of clicks.
 *
 * @phpstan-import-type TrackedItem from OutcomesQuery
 * @phpstan-import-type SharesOfDay from ClickSharesQuery
 * @phpstan-type TrackedKind array{kind: string, items: int, reached: int, said: float, inside: int, net: float, expected: float}
 * @phpstan-type TrackedMonth array{day: string, p10: float, p50: float, p90: float, mean: float, achieved: float, items: int}
 * @phpstan-type Track array{newest: ?string, items: list<TrackedItem>, months: list<TrackedMonth>, elsewhere: object,
 *     calibration: list<TrackedKind>, shares: list<SharesOfDay>, published: list<string>}
 */
final readonly class TrackQuery
{
    private const DAYS = 18;

    public function __construct(private OutcomesQuery $outcomes, private ClickSharesQuery $shares)
    {
    }

    /** @return Track */
    public function execute(Study $study): array
    {
        /** @var list<PlanItem> $items */
        $items = PlanItem::of($study)->where('status', 'done')->where('unit', '!=', Unit::Links)->orderBy('done_month')->orderBy('id')
            ->get()->all();
        $keywords = array_map(
            static fn(PlanItem $item): array => [
                $item->lead,
                ...array_map(static fn(ForecastKeyword $one): string => $one->keyword, $item->said->keywords ?? []),
            ],
            $items,
        );
        $places = OwnPositionsQuery::of($study, array_merge([], ...$keywords), self::DAYS);
        $outcomes = $this->outcomes->execute($study, $items, $places);

        return [
            'newest' => $places->newest(),
            'items' => $outcomes,
            'months' => self::months($study, $items, $places),
            'elsewhere' => (object) PlanItem::elsewhere($study),
            'calibration' => self::calibration($items, $outcomes),
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
    private static function months(Study $study, array $items, OwnPositionsQuery $places): array
    {
        $said = array_values(array_filter($items, static fn(PlanItem $item): bool => $item->said !== null));
        $first = $said === [] ? null : $said[0]->done_month;
        $days = array_values(array_filter($places->days(), static fn(string $day): bool => substr($day, 0, 7) > (string) $first));
        if ($first === null || $days === []) {
            return [];
        }
        $promises = array_map(
            static fn(PlanItem $item): ForecastItem => ($item->said ?? throw new \LogicException('It was forecast.'))
                ->promise($item->drawsAs(), Month::parse((string) $item->done_month)),
            $said,
        );
        $months = array_map(static fn(string $day): Month => Month::parse(substr($day, 0, 7)), $days);
        $told = [];
        foreach (CachedBands::of($study, $promises, $months) as $number => $band) {
            $done = array_filter($said, static fn(PlanItem $item): bool => (string) $item->done_month < (string) $months[$number]);
            $added = array_map(static fn(PlanItem $item): float => $item->said?->added($places->on($days[$number])) ?? 0.0, $done);
            $told[] = ['day' => $days[$number], ...(array) $band, 'achieved' => array_sum($added), 'items' => \count($done)];
        }

        return $told;
    }

    /**
     * What was forecast against what happened, for items past their ramp, new and existing pages apart.
     *
     * @param list<PlanItem>    $items
     * @param list<TrackedItem> $outcomes of the same
     *
     * @return list<TrackedKind> net and expected: visits a month; said: sum of the chances
     */
    private static function calibration(array $items, array $outcomes): array
    {
        $kinds = [];
        foreach ($outcomes as $number => $outcome) {
            $said = $items[$number]->said;
            if ($said?->kind === null || $outcome['outcome'] === null || $outcome['outcome'] === Outcome::TooEarly->value) {
                continue;
            }
            $kind = $said->titleSuccess === null ? $said->kind->value : 'title';
            $kinds[$kind] ??= [
                'kind' => $kind, 'items' => 0, 'reached' => 0, 'said' => 0.0, 'inside' => 0, 'net' => 0.0, 'expected' => 0.0,
            ];
            ++$kinds[$kind]['items'];
            $kinds[$kind]['reached'] += $outcome['is_reached'] === true ? 1 : 0;
            $kinds[$kind]['said'] += $said->winChance ?? 0.0;
            $kinds[$kind]['inside'] += $said->band?->holds($outcome['net'] ?? 0.0, $outcome['is_unclear']) === true ? 1 : 0;
            $kinds[$kind]['net'] += $outcome['net'] ?? 0.0;
            $kinds[$kind]['expected'] += $said->expectedGain ?? 0.0;
        }

        return array_values($kinds);
    }
}
