<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Site\ConversionRatesQuery;
use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\Figures;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\StudyExplainer;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Rulebook\Rulebook;

/**
 * The roadmap: its items, how full each month is, and what it is forecast to bring, month by month.
 *
 * @phpstan-type KeptItem array{id: int, unit: string, name: string, lead: string, month: ?string, status: string, tactic: string,
 *     effort_days: float, links_to_earn: ?int, owner: string, due: ?string, is_pinned: bool, brief: object, done_month: ?string,
 *     version: int, folded: list<string>, published_url: ?string, writer_note: ?string}
 * @phpstan-type ItemWeighed array{topic: ?string, keywords: list<string>, gain: ?float, win_chance: ?float, expected_gain: ?float,
 *     own_position: ?int, own_url: ?string, set_aside: ?array{reason: string}}
 * @phpstan-type PlannedItem array{id: int, unit: string, name: string, lead: string, keywords: list<string>, month: ?string,
 *     status: string, tactic: string, effort_days: float, links_to_earn: ?int, owner: string, due: ?string, is_pinned: bool,
 *     brief: object, done_month: ?string, version: int, topic: ?string, gain: ?float, win_chance: ?float, expected_gain: ?float,
 *     own_position: ?int, own_url: ?string, set_aside: ?array{reason: string}, folded: list<string>,
 *     published_url: ?string, writer_note: ?string, why: array{effort: Explanation, season: Explanation},
 *     publish_by: ?string, spread: object, is_late: bool}
 * @phpstan-type ForecastMonth array{month: string, p10: float, p50: float, p90: float, mean: float}
 * @phpstan-type PlanSum array{id: ?int, name: string, items: int, days: float, last: string, visits: float}
 * @phpstan-import-type OwnerLoad from OwnerCapacities
 * @phpstan-type PlanRead array{start: string, months: int, capacity: float, draft: ?array<string, mixed>, plans: list<PlanSum>,
 *     elsewhere: object, loads: object, owners: list<OwnerLoad>, items: list<PlannedItem>, forecast: list<ForecastMonth>,
 *     why: ?Explanation, conversion_rate: float, value_per_conversion: ?float, measured_conversions: float, assumptions: list<string>}
 */
final class PlanQuery
{
    /** Months after the plan's end that the forecast goes on. */
    private const BEYOND = 6;

    /**
     * @param ?int       $without item that the forecast leaves out, to show what it brings
     * @param ?PlanDraft $draft   read instead of the agreed plan
     *
     * @return PlanRead
     */
    public function execute(Study $study, ?int $without = null, ?PlanDraft $draft = null): array
    {
        $plan = ScheduledPlan::of($study, $draft === null ? PlanSchedule::agreed($study) : PlanSchedule::ofDraft($draft));
        [$frame, $items, $facts] = [$plan->frame, $plan->items, $plan->facts];
        $months = array_map(static fn(int $step): Month => $frame->start->plus($step), range(0, $frame->months + self::BEYOND - 1));
        $rulebook = $study->rulebook();
        $promises = $plan->promises($without);
        $bands = CachedBands::of($study, $promises, $months);

        return [
            'start' => (string) $frame->start,
            'months' => $frame->months,
            'capacity' => $frame->capacity,
            'draft' => $draft?->only(['id', 'name', 'version']),
            'plans' => $without === null ? $this->plans($study, $plan, $draft === null) : [],
            'elsewhere' => (object) PlanItem::elsewhere($study),
            'loads' => (object) $plan->work->loads(),
            'owners' => OwnerCapacities::loads($study, $plan),
            'items' => array_map(static fn(PlanItem $item): array => self::describe($item, $plan), $items),
            'forecast' => array_map(self::month(...), $months, $bands),
            'why' => $bands === [] ? null : self::why($months[\count($months) - 1], end($bands), \count($promises), $rulebook),
            ...self::conversions($items, $facts, ConversionRatesQuery::of($study)),
            'assumptions' => self::assumptions($rulebook),
        ];
    }

    /** @return ForecastMonth */
    public static function month(Month $month, Band $band): array
    {
        return ['month' => (string) $month, 'p10' => $band->p10, 'p50' => $band->p50, 'p90' => $band->p90, 'mean' => $band->mean];
    }

    private static function why(Month $last, Band $band, int $promises, Rulebook $rulebook): Explanation
    {
        return StudyExplainer::forecast($last, $band, $promises, $rulebook->int('forecast_draws'), $rulebook->float('forecast_sigma'));
    }

    /**
     * The share of the visits that the items bring that converts, and what a conversion is worth.
     *
     * @param list<PlanItem> $items
     *
     * @return array{conversion_rate: float, value_per_conversion: ?float, measured_conversions: float}
     */
    private static function conversions(array $items, PlanFacts $facts, ConversionRatesQuery $rates): array
    {
        $visits = $converted = $valued = $worth = $measured = 0.0;
        foreach ($items as $item) {
            $weighed = $facts->at($item)->weighed;
            $expected = $item->isAlive() && $item->month !== null ? $weighed->work->expectedGain ?? 0.0 : 0.0;
            $rate = $rates->at($weighed?->ownUrl, $weighed?->intent);
            $visits += $expected;
            $converted += $expected * $rate->rate;
            $measured += $rate->isMeasured() ? $expected : 0.0;
            $valued += $rate->value === null ? 0.0 : $expected * $rate->rate;
            $worth += $expected * $rate->rate * ($rate->value ?? 0.0);
        }
        $usual = $rates->at(null, null);

        return [
            'conversion_rate' => $visits > 0.0 ? $converted / $visits : $usual->rate,
            'value_per_conversion' => $valued > 0.0 ? $worth / $valued : $usual->value,
            'measured_conversions' => $visits > 0.0 ? $measured / $visits : (float) $usual->isMeasured(),
        ];
    }

    /** @return list<string> */
    private static function assumptions(Rulebook $rulebook): array
    {
        return [
            'The effect of work is drawn once for all new pages and once for all existing pages. '
                .'Beyond that pages move independently.',
            'All keywords of a page move together.',
            'Finished items count only with the visits they haven’t brought yet.',
            'Work that takes more than a month pays from the end of its last month.',
            sprintf('Volumes vary with a sigma of %s; %d draws.', $rulebook->float('forecast_sigma'), $rulebook->int('forecast_draws')),
        ];
    }

    /**
     * The agreed plan and its drafts beside each other.
     *
     * @param ScheduledPlan $read     one of them, as it is read
     * @param bool     $isAgreed whether it is the agreed one
     *
     * @return list<PlanSum> visits: mean added in the last month of the plan
     */
    private function plans(Study $study, ScheduledPlan $read, bool $isAgreed): array
    {
        /** @var list<PlanDraft> $drafts */
        $drafts = PlanDraft::query()->where('study_id', $study->id)->orderBy('id')->get()->all();
        $agreed = $isAgreed ? $read : $read->laidAs($study, PlanSchedule::agreed($study));
        $plans = [self::sum($study, null, 'agreed', $agreed)];
        foreach ($drafts as $draft) {
            $plans[] = self::sum($study, $draft->id, $draft->name, $read->laidAs($study, PlanSchedule::ofDraft($draft)));
        }

        return $plans;
    }

    /** @return PlanSum */
    private static function sum(Study $study, ?int $id, string $name, ScheduledPlan $plan): array
    {
        $promises = $plan->promises();
        $last = $plan->frame->start->plus($plan->frame->months - 1);

        return [
            'id' => $id,
            'name' => $name,
            'items' => \count($promises),
            'days' => array_sum($plan->work->loads()),
            'last' => (string) $last,
            'visits' => CachedBands::of($study, $promises, [$last])[0]->mean,
        ];
    }

    /** @return PlannedItem */
    private static function describe(PlanItem $item, ScheduledPlan $plan): array
    {
        [$facts, $work] = [$plan->facts, $plan->work];
        $ofItem = $facts->at($item);
        $season = $ofItem->season();
        $tactic = $item->tacticOfPage();
        $publishBy = $tactic === null ? null : $season->publishBy($plan->frame->start, $facts->effort()->ramp($tactic))?->__toString();
        $ends = $work->endOf($item->id)?->__toString() ?? $item->month;

        return [
            ...self::kept($item),
            ...self::weighed($ofItem),
            'why' => [
                'effort' => $tactic === null
                    ? StudyExplainer::effortOfLinks($facts->effort(), $item->links_to_earn ?? 0)
                    : StudyExplainer::effort($facts->effort(), $tactic, max(1, \count($ofItem->open))),
                'season' => StudyExplainer::season($season),
            ],
            'publish_by' => $publishBy,
            'spread' => (object) $work->partsOf($item->id),
            'is_late' => ItemStatus::from($item->status)->isLate($ends, $publishBy),
        ];
    }

    /** @return KeptItem */
    private static function kept(PlanItem $item): array
    {
        return [
            'id' => $item->id,
            'unit' => $item->unit->value,
            'name' => $item->name,
            'lead' => $item->lead,
            'month' => $item->month,
            'status' => $item->status,
            'tactic' => $item->tactic,
            'effort_days' => $item->effort_days,
            'links_to_earn' => $item->links_to_earn,
            'owner' => $item->owner,
            'due' => $item->due?->toDateString(),
            'is_pinned' => $item->is_pinned,
            'brief' => (object) $item->brief,
            'done_month' => $item->done_month,
            'version' => $item->version,
            'folded' => array_map(static fn(array $one): string => (string) Figures::text($one['name'] ?? null), $item->folded),
            'published_url' => $item->published_url,
            'writer_note' => $item->writer_note,
        ];
    }

    /** @return ItemWeighed */
    private static function weighed(ItemFacts $facts): array
    {
        $weighed = $facts->weighed;

        return [
            'topic' => $facts->topic,
            'keywords' => array_map(static fn(WeighedRow $row): string => $row->keyword, $facts->open),
            'gain' => $weighed?->work->gain,
            'win_chance' => $weighed?->work->winChance,
            'expected_gain' => $weighed?->work->expectedGain,
            'own_position' => $weighed?->lead->ownPosition,
            'own_url' => $weighed?->ownUrl,
            'set_aside' => $facts->setAside,
        ];
    }
}
