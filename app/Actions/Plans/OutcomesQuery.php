<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\StudyExplainer;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\ClicksAround;
use GreaterReach\Core\Plan\ForecastKeyword;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Plan\Unit;

/**
 * What came of each finished item: visits now against what was said of it when it was planned, over all the keywords that it had then.
 *
 * @phpstan-import-type MeasuredMonth from MeasuredClicksQuery
 * @phpstan-type TrackedKeyword array{keyword: string, position_then: ?int, position_now: ?int, visits_then: ?float}
 * @phpstan-type KeptOutcome array{id: int, unit: string, name: string, lead: string, tactic: string, done_month: string, owner: string,
 *     version: int, planned_month: ?string, promised_gain: ?float, win_chance: ?float, position_then: ?int, position_now: ?int,
 *     target: ?int, is_reached: ?bool, history: list<array{day: string, position: ?int}>, keywords: list<TrackedKeyword>}
 * @phpstan-type Against array{is_moved: bool, added: ?float, drift: ?float, net: ?float, is_unclear: bool, p10: ?float,
 *     p50: ?float, p90: ?float, outcome: ?string, why: ?Explanation}
 * @phpstan-type Measured array{clicks: list<MeasuredMonth>, clicks_before: ?int, clicks_since: ?int, brand_clicks_before: ?int,
 *     brand_clicks_since: ?int}
 * @phpstan-type TrackedItem array{id: int, unit: string, name: string, lead: string, tactic: string, done_month: string, owner: string,
 *     version: int, planned_month: ?string, promised_gain: ?float, win_chance: ?float, position_then: ?int, position_now: ?int,
 *     target: ?int, is_reached: ?bool, is_moved: bool, added: ?float, drift: ?float, net: ?float, is_unclear: bool, p10: ?float,
 *     p50: ?float, p90: ?float, outcome: ?string,
 *     why: ?Explanation, history: list<array{day: string, position: ?int}>, keywords: list<TrackedKeyword>, clicks: list<MeasuredMonth>,
 *     clicks_before: ?int, clicks_since: ?int, brand_clicks_before: ?int, brand_clicks_since: ?int}
 */
final readonly class OutcomesQuery
{
    public function __construct(private MeasuredClicksQuery $clicks)
    {
    }

    /**
     * @param list<PlanItem> $items that are done
     *
     * @return list<TrackedItem>
     */
    public function execute(Study $study, array $items, OwnPositionsQuery $places): array
    {
        $pages = self::ownPages($study, $items);
        $untouched = new UnplannedPagesQuery($study, $items);
        $clicks = $this->clicks->execute($study, array_map(static fn(PlanItem $item): array => [
            'keywords' => array_map(static fn(ForecastKeyword $one): string => $one->keyword, $item->said->keywords ?? []),
            'url' => $pages[$item->name] ?? null,
        ], $items));

        return array_map(
            static fn(PlanItem $item, array $measured): array => [
                ...self::kept($item, $places),
                ...self::against($item, $places, $untouched),
                ...self::measured($item, $measured),
            ],
            $items,
            $clicks,
        );
    }

    /**
     * @param list<PlanItem> $items
     *
     * @return array<string, ?string> topic → the own page that serves it now
     */
    private static function ownPages(Study $study, array $items): array
    {
        $topics = array_filter($items, static fn(PlanItem $item): bool => $item->unit === Unit::Topic);

        /** @var array<string, ?string> */
        return $study->comparison === null ? [] : $study->comparison->topicTable()->query()
            ->whereIn('topic', array_map(static fn(PlanItem $item): string => $item->name, $topics))
            ->pluck('own_url', 'topic')
            ->all();
    }

    /** @return KeptOutcome */
    private static function kept(PlanItem $item, OwnPositionsQuery $places): array
    {
        $said = $item->said;
        $now = $places->on($places->newest());
        $lead = $said->lead ?? $item->lead;

        return [
            'id' => $item->id,
            'unit' => $item->unit->value,
            'name' => $item->name,
            'lead' => $lead,
            'tactic' => $item->tactic,
            'done_month' => (string) $item->done_month,
            'owner' => $item->owner,
            'version' => $item->version,
            'planned_month' => $said?->month?->__toString(),
            'promised_gain' => $said?->gain,
            'win_chance' => $said?->winChance,
            'position_then' => $said?->position,
            'position_now' => $now[$lead] ?? null,
            'target' => $said?->target,
            'is_reached' => $said?->isReached($now[$lead] ?? null),
            'history' => $places->history($lead),
            'keywords' => array_map(static fn(ForecastKeyword $one): array => [
                'keyword' => $one->keyword,
                'position_then' => $one->position,
                'position_now' => $now[$one->keyword] ?? null,
                'visits_then' => $one->visits,
            ], $said->keywords ?? []),
        ];
    }

    /** @return Against */
    private static function against(PlanItem $item, OwnPositionsQuery $places, UnplannedPagesQuery $untouched): array
    {
        $newest = $places->newest();
        $said = $item->said;
        if ($said === null || $newest === null) {
            return [
                'is_moved' => false, 'added' => null, 'drift' => null, 'net' => null, 'is_unclear' => false, 'p10' => null, 'p50' => null,
                'p90' => null, 'outcome' => null, 'why' => null];
        }
        [$done, $now] = [Month::parse((string) $item->done_month), Month::parse(substr($newest, 0, 7))];
        $drift = $untouched->since($said->month, $said->curve);
        $ratio = $drift->ratio($said->position);
        $net = $said->visitsNow($places->on($newest)) - $ratio * $said->visitsThen();
        $isUnclear = $drift->isUnclear($net, $said->visitsThen(), $ratio);
        $band = $said->band ?? new Band(0.0, 0.0, 0.0, 0.0);
        $outcome = Outcome::of($net, $band, $done, $now, $said->ramp);
        $isReached = $said->isReached($places->on($newest)[$said->lead] ?? null);
        $added = $said->added($places->on($newest));

        return [
            'is_moved' => $isReached === true || ($net > 0.0 && ! $isUnclear),
            'added' => $added,
            'drift' => $ratio,
            'net' => $net,
            'is_unclear' => $isUnclear,
            'p10' => $band->p10,
            'p50' => $band->p50,
            'p90' => $band->p90,
            'outcome' => $outcome->value,
            'why' => StudyExplainer::outcome($outcome, $added, $ratio, $net, $isUnclear, $band, $done, $said->ramp, $isReached),
        ];
    }

    /**
     * @param list<MeasuredMonth> $measured
     *
     * @return Measured
     */
    private static function measured(PlanItem $item, array $measured): array
    {
        $done = Month::parse((string) $item->done_month);
        $around = ClicksAround::of($measured, $done);
        $brand = ClicksAround::of(
            array_map(static fn(array $month): array => ['day' => $month['day'], 'clicks' => $month['brand_clicks']], $measured),
            $done,
        );

        return [
            'clicks' => $measured,
            'clicks_before' => $around->before,
            'clicks_since' => $around->since,
            'brand_clicks_before' => $brand->before,
            'brand_clicks_since' => $brand->since,
        ];
    }
}
