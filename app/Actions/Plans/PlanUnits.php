<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\Figures;
use App\Support\Database\RowStream;
use App\Support\Mark;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\ListedRows;
use App\Support\Rows\PrioritySql;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Plan\WorkItem;
use GreaterReach\Core\Priority\TacticLabel;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The pages, or single keywords, of a comparison that can be planned: those with a known expected gain, of the shortlist if there is one.
 */
final readonly class PlanUnits
{
    public function __construct(
        private Study $study,
        private Comparison $comparison,
        private bool $isByTopic,
        private bool $usesShortlist = true,
    ) {
    }

    /** @return list<WorkItem> by rank */
    public function work(): array
    {
        return DB::transaction(function (): array {
            // Rows that were written a moment ago are in no statistics yet; taken for a handful, each topic would look through all of them.
            DB::statement('SET LOCAL enable_nestloop = off');
            $work = $this->isByTopic ? $this->topics() : $this->keywords();
            DB::statement('SET LOCAL enable_nestloop = on');

            return $work;
        });
    }

    /** @return list<WorkItem> */
    private function topics(): array
    {
        $shortlisted = '';
        if ($this->hasShortlist()) {
            $shortlisted = "AND topic IN (SELECT r.topic FROM {$this->comparison->table()->from('r')} JOIN decisions d
                ON d.keyword = r.keyword WHERE d.study_id = {$this->study->id} AND d.mark = '".Mark::Shortlisted->value."')";
        }
        $order = PrioritySql::order($this->study->rulebook()->priorities(), 'topic');
        $rows = RowStream::of(
            'SELECT topic, effort_days, expected_gain FROM '.$this->comparison->topicTable()->from().
                " WHERE expected_gain > 0 {$shortlisted} ORDER BY {$order}",
        );
        $work = [];
        foreach ($rows as [$topic, $effort, $expected]) {
            $work[] = new WorkItem((string) $topic, (float) $effort, (float) $expected);
        }

        return $work;
    }

    /** @return list<WorkItem> */
    private function keywords(): array
    {
        $query = ListedRows::of($this->comparison, Sentence::parse(''), $this->study->rulebook()->fitGate())
            ->where('expected_gain', '>', 0)
            ->when(
                $this->hasShortlist(),
                fn(Builder $query) => $query->whereIn('keyword', $this->marked(Mark::Shortlisted)),
                fn(Builder $query) => $query->whereNotIn('keyword', $this->marked(Mark::SetAside)),
            )
            ->select(['comparison_rows.keyword', 'tactic', 'expected_gain'])
            ->orderByRaw(PrioritySql::order($this->study->rulebook()->priorities()));
        $effort = $this->study->rulebook()->effort();
        $work = [];
        foreach (RowStream::ofQuery($query) as [$keyword, $tactic, $expected]) {
            $days = $effort->days(TacticLabel::parse((string) $tactic)->tactic);
            $work[] = new WorkItem((string) $keyword, $days, (float) $expected);
        }

        return $work;
    }

    private function hasShortlist(): bool
    {
        return $this->usesShortlist && $this->marked(Mark::Shortlisted)->exists();
    }

    private function marked(Mark $mark): Builder
    {
        return DB::table('decisions')->select('keyword')->where('study_id', $this->study->id)->where('mark', $mark->value);
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, PlanUnit> name → unit
     */
    public function units(array $names): array
    {
        return $this->isByTopic ? $this->topicUnits($names) : $this->keywordUnits($names);
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, PlanUnit>
     */
    private function topicUnits(array $names): array
    {
        $open = [];
        foreach (
            ComparisonRows::read(
                ListedRows::of($this->comparison, Sentence::parse(''), $this->study->rulebook()->fitGate())
                    ->whereIn('topic', $names)
                    ->whereNotIn('keyword', $this->marked(Mark::SetAside))
                    ->orderBy('keyword'),
            ) as $row
        ) {
            $open[(string) $row->topic][] = $row;
        }
        $units = [];
        /** @var list<object{topic: string, lead: string, own_url: ?string, tactic: string, win_chance: ?float, gain: ?float}> $topics */
        $topics = $this->comparison->topicTable()->query()->whereIn('topic', $names)->get()->all();
        foreach ($topics as $topic) {
            $units[$topic->topic] = new PlanUnit(
                $topic->topic,
                $topic->lead,
                $topic->own_url,
                TacticLabel::parse($topic->tactic),
                Figures::float($topic->win_chance),
                Figures::float($topic->gain),
                $open[$topic->topic] ?? [],
            );
        }

        return $units;
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, PlanUnit>
     */
    private function keywordUnits(array $names): array
    {
        $units = [];
        foreach (ComparisonRows::read($this->comparison->table()->query()->whereIn('keyword', $names)) as $row) {
            $units[$row->keyword] = self::ofKeyword($row);
        }

        return $units;
    }

    private static function ofKeyword(WeighedRow $row): PlanUnit
    {
        return new PlanUnit(
            $row->keyword,
            $row->keyword,
            $row->ownUrl,
            $row->tactic ?? throw new \LogicException('Only opportunities can be planned.'),
            $row->winChance,
            $row->gain,
            [$row],
        );
    }
}
