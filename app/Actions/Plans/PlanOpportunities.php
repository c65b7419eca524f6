<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\MetricsStream;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\ListedRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\AutoPlan;
use GreaterReach\Core\Plan\Effort;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Placement;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Plan\WorkItem;
use GreaterReach\Core\Priority\Tactic;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Proposes what to do in which month: the opportunities that bring most within the capacity, or of the shortlist if there is one.
 *
 * @phpstan-type PlannedRow array{month: string, item: string, topic: string, tactic: string, effort_days: float,
 *     expected_gain: float, win_chance: float, publish_by: ?string}
 */
final readonly class PlanOpportunities
{
    public const HEADINGS = ['month', 'item', 'topic', 'tactic', 'effort_days', 'expected_gain', 'win_chance', 'publish_by'];

    /**
     * @param float $capacity days of work in each month
     *
     * @return list<PlannedRow>
     */
    public function execute(Study $study, Comparison $comparison, int $months, float $capacity, Month $start): array
    {
        $effort = $study->rulebook()->effort();
        $rows = $this->opportunities($study, $comparison);
        $items = array_map(
            static fn(WeighedRow $row): WorkItem => new WorkItem(
                $row->keyword,
                $effort->days($row->tactic ?? throw new \LogicException('Only weighed rows are planned.'), $row->linksToEarn),
                (float) $row->expectedGain,
            ),
            $rows,
        );
        $placements = (new AutoPlan($months, $capacity))->place(array_values($items));
        $metrics = MetricsStream::known(
            $study,
            array_map(static fn(Placement $placement): string => $placement->item->keyword, $placements),
        );

        return array_map(
            static fn(Placement $placement): array => self::describe(
                $placement,
                $rows[$placement->item->keyword],
                $effort,
                $start,
                $metrics[$placement->item->keyword],
            ),
            $placements,
        );
    }

    /** @return array<string, WeighedRow> keyword → row */
    private function opportunities(Study $study, Comparison $comparison): array
    {
        $hasShortlist = DB::table('decisions')->where('study_id', $study->id)->where('mark', 'shortlisted')->exists();
        $marked = static fn(string $mark): \Closure => static fn(Builder $query) => $query
            ->select('keyword')
            ->from('decisions')
            ->where('study_id', $study->id)
            ->where('mark', $mark);
        $rows = ListedRows::of($comparison, Sentence::parse(''), $study->rulebook()->fitGate())
            ->where('expected_gain', '>', 0)
            ->when(
                $hasShortlist,
                static fn(Builder $query) => $query->whereIn('keyword', $marked('shortlisted')),
                static fn(Builder $query) => $query->whereNotIn('keyword', $marked('set aside')),
            );

        return array_column(ComparisonRows::read($rows), null, 'keyword');
    }

    /**
     * @return array{month: string, item: string, topic: string, tactic: string, effort_days: float, expected_gain: float,
     *     win_chance: float, publish_by: ?string}
     */
    private static function describe(Placement $placement, WeighedRow $row, Effort $effort, Month $start, Metrics $metrics): array
    {
        return [
            'month' => (string) $start->plus($placement->begins),
            'item' => $row->keyword,
            'topic' => (string) $row->topic,
            'tactic' => (string) $row->tactic,
            'effort_days' => $placement->item->effort,
            'expected_gain' => $placement->item->expectedGain,
            'win_chance' => (float) $row->winChance,
            'publish_by' => Season::of($metrics)->publishBy($start, $effort->ramp(self::tactic($row)))?->__toString(),
        ];
    }

    private static function tactic(WeighedRow $row): Tactic
    {
        return $row->tactic->tactic ?? throw new \LogicException('Only weighed rows are planned.');
    }
}
