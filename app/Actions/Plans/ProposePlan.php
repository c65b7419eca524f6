<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Exceptions\Refused;
use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\AutoPlan;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Plan\WorkItem as Work;

/**
 * What the auto-plan would do with the roadmap: which item into which month, against where it stands now. Items that are done or dropped stay
 * as they are; pinned ones keep their place in the order. An empty roadmap is filled as `reach:plan` would fill it.
 */
final readonly class ProposePlan
{
    public function __construct(private PlanOpportunities $make)
    {
    }

    /**
     * @return array{changes: list<array{keyword: string, from: ?string, to: ?string, tactic: string, effort_days: float, expected_gain: float}>, unchanged: int, left_out: int}
     *
     * @throws Refused when nothing has been compared
     */
    public function execute(Study $study, ?PlanDraft $draft = null): array
    {
        $comparison = $study->comparison ?? throw Refused::because('comparison', 'Nothing has been compared yet; bring in rankings first.');
        $frame = $draft === null ? PlanFrame::agreed($study) : PlanFrame::ofDraft($draft);
        $items = array_values(array_filter($frame->items($study), static fn(PlanItem $item): bool => ItemStatus::from($item->status)->isOpen()));
        // What was set aside meanwhile is nobody's to plan: it stays where it is, and the board says so.
        $aside = PlanFacts::of($study, $comparison, array_map(static fn(PlanItem $item): string => $item->keyword, $items));
        $items = array_values(array_filter($items, static fn(PlanItem $item): bool => $aside->setAside($item->keyword) === null));
        usort($items, static fn(PlanItem $a, PlanItem $b): int => $a->id <=> $b->id);
        if ($items === [] && $draft === null) {
            $rows = $this->make->execute($study, $comparison, $frame->months, $frame->capacity, $frame->start);

            return ['changes' => array_map(static fn(array $row): array => ['keyword' => $row['item'], 'from' => null, 'to' => $row['month'], 'tactic' => $row['tactic'], 'effort_days' => $row['effort_days'], 'expected_gain' => $row['expected_gain']], $rows), 'unchanged' => 0, 'left_out' => 0];
        }
        $facts = PlanFacts::of($study, $comparison, array_map(static fn(PlanItem $item): string => $item->keyword, $items));
        $work = array_map(static fn(PlanItem $item): Work => new Work($item->keyword, $item->effort_days, $facts->gain($item->keyword) * $facts->winChance($item->keyword), $item->is_pinned), $items);
        $months = [];
        foreach ((new AutoPlan($frame->months, $frame->capacity))->place($work) as $placement) {
            $months[$placement->item->keyword] = (string) $frame->start->plus($placement->begins);
        }
        $changes = [];
        foreach ($items as $number => $item) {
            $to = $months[$item->keyword] ?? null;
            if ($to !== $item->month) {
                $changes[] = ['keyword' => $item->keyword, 'from' => $item->month, 'to' => $to, 'tactic' => $item->tactic, 'effort_days' => $item->effort_days, 'expected_gain' => $work[$number]->expectedGain];
            }
        }

        return ['changes' => $changes, 'unchanged' => \count($items) - \count($changes), 'left_out' => \count($items) - \count($months)];
    }
}
