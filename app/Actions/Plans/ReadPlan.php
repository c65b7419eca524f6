<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\Forecast;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use Illuminate\Support\Facades\DB;

/** The roadmap: its items, how full each month is, and what it is forecast to bring, month by month. */
final class ReadPlan
{
    public const START_CAPACITY = 10.0;
    public const START_MONTHS = 6;

    /** Months after the plan's end that the forecast goes on. */
    private const BEYOND = 6;

    /**
     * @param ?int $without item that the forecast leaves out, to show what it brings
     *
     * @return array<string, mixed>
     */
    public function execute(Study $study, ?int $without = null): array
    {
        $frame = self::frame($study);
        /** @var list<PlanItem> $items */
        $items = PlanItem::query()->where('study_id', $study->id)->orderBy('month')->orderBy('id')->get()->all();
        $facts = PlanFacts::of($study, $study->comparison, array_map(static fn(PlanItem $item): string => $item->keyword, $items));
        $months = array_map(static fn(int $step): Month => $frame['start']->plus($step), range(0, $frame['months'] + self::BEYOND - 1));
        $rulebook = $study->rulebook();
        $alive = array_values(array_filter($items, static fn(PlanItem $item): bool => $item->isAlive() && $item->month !== null && $item->id !== $without));
        $promises = array_map(static fn(PlanItem $item): ForecastItem => self::promise($item, $facts), $alive);
        $bands = (new Forecast($rulebook->int('forecast_draws'), $rulebook->float('forecast_sigma'), $rulebook->int('seed')))->bands($promises, $months);
        $value = $rulebook->optionalFloat('value_per_conversion');

        return [
            'start' => (string) $frame['start'],
            'months' => $frame['months'],
            'capacity' => $frame['capacity'],
            'loads' => self::loads($items),
            'items' => array_map(static fn(PlanItem $item): array => self::describe($item, $facts, $frame['start']), $items),
            'forecast' => array_map(static fn(Month $month, Band $band): array => ['month' => (string) $month, 'p10' => $band->p10, 'p50' => $band->p50, 'p90' => $band->p90, 'mean' => $band->mean], $months, $bands),
            'conversion_rate' => $rulebook->float('conversion_rate'),
            'value_per_conversion' => $value,
            'assumptions' => ['Items are won independently of each other.', 'A win brings the visits of the position aimed at.', sprintf('Volumes scatter by a sigma of %s; %d draws.', $rulebook->float('forecast_sigma'), $rulebook->int('forecast_draws'))],
        ];
    }

    /** @return array{start: Month, months: int, capacity: float} */
    public static function frame(Study $study): array
    {
        $kept = DB::table('plans')->where('study_id', $study->id)->first();

        return ['start' => Month::parse($kept->start ?? now('UTC')->format('Y-m')), 'months' => $kept->months ?? self::START_MONTHS, 'capacity' => (float) ($kept->capacity ?? self::START_CAPACITY)];
    }

    public static function promise(PlanItem $item, PlanFacts $facts): ForecastItem
    {
        $done = Month::parse($item->done_month ?? $item->month ?? '0001-01');
        $gain = $item->promise['gain'] ?? $facts->gain($item->keyword);
        $chance = $item->promise['win_chance'] ?? $facts->winChance($item->keyword);

        return new ForecastItem((float) $gain, (float) $chance, $facts->season($item->keyword), $done, $facts->effort()->ramp(PlanFacts::tactic($item->tactic)));
    }

    /**
     * @param list<PlanItem> $items
     *
     * @return array<string, float> month → days of work
     */
    private static function loads(array $items): array
    {
        $loads = [];
        foreach ($items as $item) {
            if ($item->month !== null && $item->isAlive()) {
                $loads[$item->month] = ($loads[$item->month] ?? 0.0) + $item->effort_days;
            }
        }

        return $loads;
    }

    /** @return array<string, mixed> */
    private static function describe(PlanItem $item, PlanFacts $facts, Month $start): array
    {
        $row = $facts->row($item->keyword);
        $chance = $facts->winChance($item->keyword);

        return [
            'id' => $item->id, 'keyword' => $item->keyword, 'month' => $item->month, 'status' => $item->status, 'tactic' => $item->tactic,
            'effort_days' => $item->effort_days, 'links_to_earn' => $item->links_to_earn, 'owner' => $item->owner, 'due' => $item->due?->toDateString(),
            'is_pinned' => $item->is_pinned, 'brief' => (object) $item->brief, 'done_month' => $item->done_month, 'version' => $item->version,
            'topic' => $row?->topic, 'gain' => $facts->gain($item->keyword), 'win_chance' => $row === null || $row->win_chance === null ? null : $chance,
            'expected_gain' => $row === null || $row->expected_gain === null ? null : (float) $row->expected_gain, 'own_position' => $row?->own_position, 'own_url' => $row?->own_url,
            'publish_by' => $facts->season($item->keyword)->publishBy($start, $facts->effort()->ramp(PlanFacts::tactic($item->tactic)))?->__toString(),
        ];
    }
}
