<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\AutoPlan;
use GreaterReach\Core\Plan\Goal;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Placement;
use GreaterReach\Core\Plan\WorkItem;
use GreaterReach\Core\Priority\Effort;

/**
 * Proposes what to do in which month: the pages, or single keywords, that bring most within the capacity, or of the shortlist if there
 * is one.
 *
 * @phpstan-import-type PlannedRow from ProposedPlan
 */
final readonly class PlanOpportunities
{
    private const MOST_MONTHS = 60;

    /**
     * @param float        $capacity days of work in each month
     * @param list<string> $without  names that are no candidates
     */
    public function execute(
        Study $study,
        Comparison $comparison,
        int $months,
        float $capacity,
        Month $start,
        bool $isByTopic,
        array $without = [],
    ): ProposedPlan {
        $units = new PlanUnits($study, $comparison, $isByTopic);
        $finished = RoadmapStatus::of($study, $comparison)->finished($isByTopic);
        $work = self::candidates($units, [...$without, ...$finished]);
        $plan = new AutoPlan($months, $capacity);
        $placements = $plan->place($work);

        return new ProposedPlan(self::rows($study, $units, $placements, $start), self::names($plan->leftOut($work)), null);
    }

    /**
     * What is on the roadmap stays and counts, and takes its days; everything else is a candidate beside it, shortlisted or not.
     *
     * @throws UserError when the goal lies before the start, or nothing was weighed
     */
    public function towards(Goal $goal, Study $study, Comparison $comparison, Month $start, bool $isByTopic): ProposedPlan
    {
        if ($start->until($goal->until) < 0) {
            throw UserError::because('until', "The goal is for {$goal->until}, before the plan's start in {$start}.");
        }
        if ($start->until($goal->until) >= self::MOST_MONTHS) {
            throw UserError::because('until', 'A plan runs for at most '.self::MOST_MONTHS.' months.');
        }
        $models = $comparison->models() ?? throw UserError::because('comparison', 'There are no opportunities yet. Compare first.');
        $units = new PlanUnits($study, $comparison, $isByTopic, false);
        $roadmap = ScheduledPlan::of($study, PlanSchedule::agreed($study));
        $there = array_filter($roadmap->items, static fn(PlanItem $item): bool => $item->isAlive());
        $names = array_values(array_map(static fn(PlanItem $item): string => $item->name, $there));
        $finished = RoadmapStatus::of($study, $comparison)->finished($isByTopic);
        $work = self::candidates($units, [...$names, ...$finished]);
        $promises = new UnitForecasts($study, $units, new ForecastPages($study, $models), $start);
        $months = $start->until($goal->until) + 1;
        // Nearly all that smaller capacities place, looked up at once.
        $taken = self::taken($roadmap, $start);
        $promises->of((new AutoPlan($months, Goal::MOST_DAYS, $taken))->place($work));
        $answer = $goal->search($work, $start, ForecastPages::forecast($study), $promises->of(...), $roadmap->promises(), $taken);
        $plan = new AutoPlan($months, $answer->capacity);

        return new ProposedPlan(self::rows($study, $units, $answer->placements, $start), self::names($plan->leftOut($work)), $answer);
    }

    /** @return array<int, float> number of a month → days that open work of the roadmap takes */
    private static function taken(ScheduledPlan $roadmap, Month $start): array
    {
        $taken = [];
        foreach ($roadmap->work->loads() as $month => $days) {
            $number = $start->until(Month::parse($month));
            if ($number >= 0) {
                $taken[$number] = $days;
            }
        }

        return $taken;
    }

    /**
     * @param list<string> $without
     *
     * @return list<WorkItem> by rank
     */
    private static function candidates(PlanUnits $units, array $without): array
    {
        $out = array_flip($without);

        return array_values(array_filter($units->work(), static fn(WorkItem $item): bool => ! isset($out[$item->name])));
    }

    /**
     * @param list<Placement> $placements
     *
     * @return list<PlannedRow>
     */
    private static function rows(Study $study, PlanUnits $units, array $placements, Month $start): array
    {
        $effort = $study->rulebook()->effort();
        $known = $units->units(array_map(static fn(Placement $one): string => $one->item->name, $placements));
        $years = UnitForecasts::years($study, $known);

        return array_map(
            static fn(Placement $one): array => self::describe($one, $known[$one->item->name], $effort, $start, $years),
            $placements,
        );
    }

    /**
     * @param array<string, Metrics> $years
     *
     * @return PlannedRow
     */
    private static function describe(Placement $placement, PlanUnit $unit, Effort $effort, Month $start, array $years): array
    {
        $season = UnitForecasts::season($unit, $years);

        return [
            'month' => (string) $start->plus($placement->begins),
            'item' => $unit->name,
            'lead' => $unit->lead,
            'keywords' => \count($unit->open),
            'own_url' => $unit->ownUrl,
            'tactic' => (string) $unit->tactic,
            'effort_days' => $placement->item->effort,
            'expected_gain' => $placement->item->expectedGain,
            'win_chance' => $unit->winChance,
            'publish_by' => $season->publishBy($start, $effort->ramp($unit->tactic->tactic))?->__toString(),
        ];
    }

    /**
     * @param list<WorkItem> $items
     *
     * @return list<string>
     */
    private static function names(array $items): array
    {
        return array_map(static fn(WorkItem $item): string => $item->name, $items);
    }
}
