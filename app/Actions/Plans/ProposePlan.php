<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\AutoPlan;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Unit;
use GreaterReach\Core\Plan\WorkItem as Work;

/**
 * Proposed plan with the roadmap: which item into which month, against where it stands now. Items that are done or dropped
 * stay as they are; pinned ones keep their place in the order. An empty roadmap is filled as `reach:plan` would fill it.
 *
 * @phpstan-type ProposedChange array{item: ?int, topic: ?string, name: string, unit: string, from: ?string, to: ?string,
 *     tactic: string, effort_days: float, expected_gain: float}
 */
final readonly class ProposePlan
{
    public function __construct(private PlanOpportunities $make)
    {
    }

    /**
     * @return array{changes: list<ProposedChange>, unchanged: int, left_out: int}
     *
     * @throws UserError when nothing has been compared
     */
    public function execute(Study $study, ?PlanDraft $draft = null): array
    {
        $comparison = $study->comparison ?? throw UserError::because('comparison', 'Nothing has been compared yet. Import rankings first.');
        $frame = $draft === null ? PlanSchedule::agreed($study) : PlanSchedule::ofDraft($draft);
        $all = $frame->items($study);
        $facts = PlanFacts::of($study, $comparison, $all);
        $items = self::movable($all, $facts);

        return $items === [] && $draft === null
            ? ['changes' => $this->filled($study, $comparison, $frame, $all), 'unchanged' => 0, 'left_out' => 0]
            : self::placed($items, self::work($items, $facts), $frame, self::taken($all, $frame));
    }

    /**
     * Links stay in the month that a person gave them, and take its days.
     *
     * @param list<PlanItem> $all
     *
     * @return array<int, float> number of a month → days
     */
    private static function taken(array $all, PlanSchedule $frame): array
    {
        $taken = [];
        foreach ($all as $item) {
            if ($item->isLinks() && $item->month !== null && ItemStatus::from($item->status)->isOpen()) {
                $month = $frame->start->until(Month::parse($item->month));
                $taken[$month] = ($taken[$month] ?? 0.0) + $item->effort_days;
            }
        }

        return $taken;
    }

    /**
     * @param list<PlanItem> $all
     *
     * @return list<PlanItem> open items of which no one set all aside in the meantime: those stay where they are, and the board says so
     */
    private static function movable(array $all, PlanFacts $facts): array
    {
        $items = array_values(array_filter(
            $all,
            static fn(PlanItem $item): bool => ItemStatus::from($item->status)->isOpen() && ! $item->isLinks()
                && $facts->at($item)->setAside === null,
        ));
        usort($items, static fn(PlanItem $a, PlanItem $b): int => $a->id <=> $b->id);

        return $items;
    }

    /**
     * @param list<PlanItem> $there which are done or dropped
     *
     * @return list<ProposedChange> what `reach:plan` would plan beside them
     */
    private function filled(Study $study, Comparison $comparison, PlanSchedule $frame, array $there): array
    {
        $topics = array_filter($there, static fn(PlanItem $item): bool => $item->unit === Unit::Topic);
        $without = array_values(array_map(static fn(PlanItem $item): string => $item->name, $topics));
        $plan = $this->make->execute($study, $comparison, $frame->months, $frame->capacity, $frame->start, true, $without);

        return array_map(
            static fn(array $row): array => [
                'item' => null,
                'topic' => $row['item'],
                'name' => $row['item'],
                'unit' => Unit::Topic->value,
                'from' => null,
                'to' => $row['month'],
                'tactic' => $row['tactic'],
                'effort_days' => $row['effort_days'],
                'expected_gain' => $row['expected_gain'],
            ],
            $plan->rows,
        );
    }

    /**
     * @param list<PlanItem> $items
     *
     * @return list<Work> one an item
     */
    private static function work(array $items, PlanFacts $facts): array
    {
        return array_map(static fn(PlanItem $item): Work => new Work(
            $item->key(),
            $item->effort_days,
            $facts->at($item)->expectedGain() ?? 0.0,
            $item->is_pinned,
        ), $items);
    }

    /**
     * @param list<PlanItem> $items
     * @param list<Work>        $work  of each
     * @param array<int, float> $taken number of a month → days of other work
     *
     * @return array{changes: list<ProposedChange>, unchanged: int, left_out: int}
     */
    private static function placed(array $items, array $work, PlanSchedule $frame, array $taken): array
    {
        $months = [];
        foreach ((new AutoPlan($frame->months, $frame->capacity, $taken))->place($work) as $placement) {
            $months[$placement->item->name] = (string) $frame->start->plus($placement->begins);
        }
        $changes = [];
        foreach ($items as $number => $item) {
            $to = $months[$item->key()] ?? null;
            if ($to !== $item->month) {
                $changes[] = [
                    'item' => $item->id,
                    'topic' => null,
                    'name' => $item->name,
                    'unit' => $item->unit->value,
                    'from' => $item->month,
                    'to' => $to,
                    'tactic' => $item->tactic,
                    'effort_days' => $item->effort_days,
                    'expected_gain' => $work[$number]->expectedGain,
                ];
            }
        }

        return ['changes' => $changes, 'unchanged' => \count($items) - \count($changes), 'left_out' => \count($items) - \count($months)];
    }
}
