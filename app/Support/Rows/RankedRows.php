<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * The listed rows of a comparison in the order of given weights.
 *
 * Rows with the same scores have the same priority whatever the weights, and there are but some thousand different scores
 * among a million rows. So the first rows are read from the best scores downwards, through an index that holds each of
 * them in order, instead of sorting all rows. Deep in the list, or where a sentence lets few rows through, all are sorted.
 */
final readonly class RankedRows
{
    /** Rows from the top beyond which everything is sorted. */
    private const DEEPEST = 2000;

    /** A sentence that lets through less than one in so many rows makes reading along the index a waste. */
    private const SPARSE = 20;
    private const REMEMBERED_SECONDS = 3600;

    public function __construct(private Comparison $comparison, private Sentence $sentence, private FitGate $gate, private bool $pinsFirst)
    {
    }

    /** How many rows the list has; it does not depend on the weights. */
    public function count(): int
    {
        return $this->remembered("count {$this->sentence} {$this->gate->smallest}", fn(): int => $this->listed()->count());
    }

    /** @return list<RankedRow> */
    public function page(Weights $weights, int $offset, int $limit): array
    {
        $isDense = $this->count() * self::SPARSE >= $this->comparison->keywords();

        return array_map(
            RankedRow::fromDatabase(...),
            $isDense && $offset + $limit <= self::DEEPEST
                ? $this->fromTheTop($weights, $offset, $limit)
                : $this->sorted($weights, $offset, $limit),
        );
    }

    /** @return list<\stdClass> */
    public function sorted(Weights $weights, int $offset, int $limit): array
    {
        return array_values(
            $this->listed()
                ->select('comparison_rows.*')
                ->selectRaw(PrioritySql::expression($weights).' AS priority')
                ->when(
                    $this->pinsFirst,
                    fn(Builder $query) => $query->orderByRaw(
                        'keyword IN (SELECT keyword FROM decisions WHERE decisions.study_id = ? AND pinned) DESC',
                        [$this->comparison->study_id],
                    ),
                )
                ->orderByRaw(PrioritySql::order($weights))
                ->offset($offset)
                ->limit($limit)
                ->get()
                ->all(),
        );
    }

    /** @return list<\stdClass> */
    public function fromTheTop(Weights $weights, int $offset, int $limit): array
    {
        $wanted = $offset + $limit;
        $found = $this->pinsFirst
            ? array_values(
                $this->listed()
                    ->select('comparison_rows.*')
                    ->selectRaw(PrioritySql::expression($weights).' AS priority')
                    ->whereIn('keyword', $this->pinned())
                    ->orderByRaw(PrioritySql::order($weights))
                    ->limit($wanted)
                    ->get()
                    ->all(),
            )
            : [];
        foreach ($this->byPriority($weights) as $groups) {
            if (\count($found) >= $wanted) {
                break;
            }
            array_push($found, ...$this->ofScores($groups, $weights, $wanted - \count($found)));
        }

        return \array_slice($found, $offset, $limit);
    }

    /**
     * @param non-empty-list<list<?int>> $groups scores of equal priority
     *
     * @return list<\stdClass> their best rows
     */
    private function ofScores(array $groups, Weights $weights, int $limit): array
    {
        $parts = array_map(function (array $scores) use ($weights, $limit): Builder {
            $query = $this->listed()->select('comparison_rows.*')->selectRaw(PrioritySql::expression($weights).' AS priority')
                ->when($this->pinsFirst, fn(Builder $rows) => $rows->whereNotIn('keyword', $this->pinned()));
            foreach (RowCatalogue::scores() as $place => $column) {
                $scores[$place] === null ? $query->whereNull($column) : $query->where($column, $scores[$place]);
            }

            return $query->orderByRaw(PrioritySql::BEYOND)->limit($limit);
        }, $groups);
        $all = array_shift($parts);
        foreach ($parts as $part) {
            $all->unionAll($part);
        }

        return DB::transaction(static function () use ($all, $limit): array {
            // The planner, which does not know how scores and gain hang together, would else go down the index of the gain alone.
            DB::statement('SET LOCAL enable_incremental_sort = off');

            return array_values(DB::query()->fromSub($all, 'best')->orderByRaw(PrioritySql::BEYOND)->limit($limit)->get()->all());
        });
    }

    /**
     * @return list<non-empty-list<list<?int>>> the scores there are, those of equal priority together, the best first; an unknown gain
     *     comes last
     */
    private function byPriority(Weights $weights): array
    {
        $groups = [];
        foreach ($this->scores() as $scores) {
            $known = Scores::inOrder(...$scores);
            $priority = $weights->priorityOf($known);
            $groups[
                ($known->at(Criterion::Gain) === null ? '1 ' : '0 ').($priority === null ? 'none' : json_encode($priority))
            ][] = $scores;
        }
        $rank = static fn(string $key): array => [$key[0], str_ends_with($key, 'none') ? INF : -(float) substr($key, 2)];
        uksort($groups, static fn(string $a, string $b): int => $rank($a) <=> $rank($b));

        return array_values($groups);
    }

    /** @return list<list<?int>> every combination of scores among the listed rows */
    private function scores(): array
    {
        /** @var list<list<?int>> $scores */
        $scores = $this->remembered('scores', function (): array {
            $rows = ListedRows::of($this->comparison, Sentence::parse(''), FitGate::open())->distinct()->get(RowCatalogue::scores())->all();

            return array_map(static fn(\stdClass $row): array => array_values((array) $row), array_values($rows));
        });

        return $scores;
    }

    /**
     * Remembered until somebody decides something or the data changes.
     *
     * @template Made
     *
     * @param \Closure(): Made $make
     *
     * @return Made
     */
    private function remembered(string $what, \Closure $make): mixed
    {
        $state = DB::selectOne(
            'SELECT coalesce(max(id), 0) AS newest, count(undone_at) AS undone, (SELECT data_version FROM studies WHERE id = ?) AS '
                .'version FROM changes WHERE study_id = ?',
            [$this->comparison->study_id, $this->comparison->study_id],
        );

        /** @var Made */
        return Cache::remember(
            'ranked '.hash('sha256', implode("\n", [$this->comparison->id, $what, json_encode($state, JSON_THROW_ON_ERROR)])),
            self::REMEMBERED_SECONDS,
            $make,
        );
    }

    private function listed(): Builder
    {
        return ListedRows::of($this->comparison, $this->sentence, $this->gate);
    }

    private function pinned(): Builder
    {
        return DB::table('decisions')->select('keyword')->where('decisions.study_id', $this->comparison->study_id)->where('pinned', true);
    }
}
