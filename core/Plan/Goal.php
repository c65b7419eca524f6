<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;

/** So many more visits a month by some month, with some odds: what capacity does it take? */
final readonly class Goal
{
    /** Capacities are tried in half days up to this many days a month. */
    public const MOST_DAYS = 60;
    public const ODDS = .8;

    public function __construct(
        /** Visits a month, above 0. */
        public float $visits,
        /** The last month of the plan, and the one that is asked about. */
        public Month $until,
        /** Share of the draws that must reach it, above 0 and below 1. */
        public float $odds = self::ODDS,
    ) {
        InvalidArgument::unless($visits > 0 && $odds > 0 && $odds < 1, 'A goal is more than no visits, with odds between 0 and 1.');
    }

    /**
     * The smallest capacity whose plan reaches it, or what the largest one comes to.
     *
     * @param list<WorkItem>                                $work      by rank, beside what is on the roadmap
     * @param \Closure(list<Placement>): list<ForecastItem> $promise   what placed items can bring, in the same order
     * @param list<ForecastItem>                            $committed what is on the roadmap, which stays and counts
     * @param array<int, float>                             $taken     number of a month → days that the roadmap takes
     */
    public function search(
        array $work,
        Month $start,
        Forecast $forecast,
        \Closure $promise,
        array $committed = [],
        array $taken = [],
    ): GoalAnswer {
        $months = $start->until($this->until) + 1;
        InvalidArgument::unless($months >= 1, 'A goal lies in the first month of a plan or later.');
        $work = AutoPlan::everCandidates($work);
        $answer = new GoalAnswer(0.0, [], 0.0, 0.0, false);
        $isFirst = true;
        for ($halfDays = 1; $halfDays <= self::MOST_DAYS * AutoPlan::UNITS_PER_DAY; ++$halfDays) {
            $capacity = $halfDays / AutoPlan::UNITS_PER_DAY;
            $placements = (new AutoPlan($months, $capacity, $taken))->place($work);
            if (! $isFirst && self::areAlike($placements, $answer->placements)) {
                $answer = $answer->with($capacity);
                continue;
            }
            $isFirst = false;
            $answer = $this->answer($capacity, $placements, $forecast->totals([...$committed, ...$promise($placements)], $this->until));
            if ($answer->isReached) {
                break;
            }
        }

        return $answer;
    }

    /**
     * @param list<Placement> $placements
     * @param list<float>     $totals     one per draw
     */
    private function answer(float $capacity, array $placements, array $totals): GoalAnswer
    {
        rsort($totals);
        $draws = \count($totals);
        $reaching = \count(array_filter($totals, fn(float $total): bool => $total >= $this->visits));
        $share = $reaching / $draws;

        return new GoalAnswer(
            $capacity,
            $placements,
            $share,
            $totals[(int) ceil(round($this->odds * $draws, 9)) - 1],
            $share >= $this->odds,
        );
    }

    /**
     * @param list<Placement> $one
     * @param list<Placement> $other
     */
    private static function areAlike(array $one, array $other): bool
    {
        return array_map(self::spell(...), $one) === array_map(self::spell(...), $other);
    }

    private static function spell(Placement $placement): string
    {
        return "{$placement->begins} {$placement->ends} {$placement->item->name}";
    }
}
