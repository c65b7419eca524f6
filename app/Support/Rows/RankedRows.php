<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Sentence\Sentence;
use App\Support\StudyState;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\ScoreCell;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * The listed rows of a comparison in the order of given weights. The order is found from the figures that it goes by alone, which an index
 * of a large comparison holds beside each other; only the rows of the page are read whole. The top of a large comparison is looked for in
 * those cells of scores alone that can hold it, and what was found is held against the best that the others can hold.
 */
final readonly class RankedRows
{
    /** Cells are tried for so many times the rows that are wanted, then for more. */
    private const TRIES = [3, 30, 300];

    /** Beyond so many rows reading all of them is no slower. */
    private const MOST_IN_CELLS = 500_000;
    private const REMEMBERED_SECONDS = 3600;

    /** Longest page whose places are remembered. */
    private const REMEMBERED_PLACES = 500;

    /** What was remembered under it holds for one list as long as it is read. */
    private string $state;

    public function __construct(private Comparison $comparison, private Sentence $sentence, private FitGate $gate, private bool $pinsFirst)
    {
        $this->state = StudyState::of($comparison->study_id);
    }

    /** How many rows the list has; it does not depend on the weights. */
    public function count(): int
    {
        // In a list, for a number by itself comes back from some stores as a text.
        return $this->remembered("rows {$this->sentence} {$this->gate->smallest}", fn(): array => [$this->listed()->count()])[0];
    }

    /**
     * @param ?RowOrder $by column that the list goes by instead of the priority
     *
     * @return list<RankedRow>
     */
    public function page(Weights $weights, int $offset, int $limit, ?RowOrder $by = null, bool $descending = true): array
    {
        // What is pinned may lie in any cell.
        $isFree = $by === null && $this->comparison->has_own_rows && !($this->pinsFirst && $this->pinned()->exists());
        $found = $isFree ? $this->fromCells($weights, $offset, $limit) : null;

        return $found ?? $this->read($weights, $offset, $limit, $by, $descending, null);
    }

    /** @return ?list<RankedRow> null where the top cannot be told from some cells alone */
    public function fromCells(Weights $weights, int $offset, int $limit): ?array
    {
        $cells = $this->cells();
        $share = max(0.01, $this->count() / max(1, array_sum($cells)));
        foreach (self::TRIES as $times) {
            [$chosen, $bestOfOthers] = self::chosen($cells, $weights, (int) ceil($times * ($offset + $limit) / $share));
            if ($bestOfOthers === null || array_sum($chosen) > self::MOST_IN_CELLS) {
                return null;
            }
            $rows = $this->read($weights, $offset, $limit, null, true, array_keys($chosen));
            $last = end($rows);
            if (\count($rows) === $limit && $last !== false && round($last->priority ?? -1.0, 9) > round($bestOfOthers, 9)) {
                return $rows;
            }
        }

        return null;
    }

    /**
     * @param array<int, int> $cells cell → rows
     *
     * @return array{array<int, int>, ?float} the cells that can hold the first so many rows, and the best priority that the others can
     *     hold; null where there are none
     */
    private static function chosen(array $cells, Weights $weights, int $wanted): array
    {
        $bounds = array_map(static fn(int $cell): array => ScoreCell::priorities($cell, $weights), array_keys($cells));
        $bounds = array_combine(array_keys($cells), $bounds);
        uasort($bounds, static fn(array $one, array $other): int => $other[0] <=> $one[0]);
        $rows = 0;
        $least = -1.0;
        foreach ($bounds as $cell => [$low]) {
            $least = $low;
            $rows += $cells[$cell];
            if ($rows >= $wanted) {
                break;
            }
        }
        $others = array_filter($bounds, static fn(array $bound): bool => $bound[1] < $least);

        return [array_diff_key($cells, $others), $others === [] ? null : max(array_column($others, 1))];
    }

    /** @return array<int, int> cell of scores → listed rows of it whose expected gain is known */
    private function cells(): array
    {
        return $this->remembered('cells', function (): array {
            /** @var array<int, int> */
            return ListedRows::of($this->comparison, Sentence::parse(''), FitGate::open())
                ->whereNotNull('expected_gain')
                ->whereNotNull(RowCatalogue::CELL)
                ->groupBy(RowCatalogue::CELL)
                ->selectRaw(RowCatalogue::CELL.' AS cell, count(*) AS keywords')
                ->pluck('keywords', 'cell')
                ->all();
        });
    }

    /**
     * @param ?list<int> $cells those whose rows alone are looked at, of known expected gain; null looks at all
     *
     * @return list<RankedRow>
     */
    private function read(Weights $weights, int $offset, int $limit, ?RowOrder $by, bool $descending, ?array $cells): array
    {
        $pinned = $this->pinsFirst && $by === null && $this->pinned()->exists();
        $order = static fn(string $priority): string => match (true) {
            $by !== null => $by->sql($descending),
            $pinned => '(pinned_keyword IS NULL), '.PrioritySql::orderBy($priority),
            default => PrioritySql::orderBy($priority),
        };
        $priority = PrioritySql::expression($weights);
        $places = $this->listed()
            ->select('comparison_rows.keyword')
            ->selectRaw("{$priority} AS priority")
            ->orderByRaw($order($priority))
            ->offset($offset)
            ->limit($limit);
        if ($cells !== null) {
            $places->whereRaw(RowCatalogue::CELL.' = ANY (?::bigint[])', ['{'.implode(',', $cells).'}'])->whereNotNull('expected_gain');
        }
        if ($pinned) {
            $places
                ->leftJoinSub($this->pinned(), 'pinned', 'pinned_keyword', '=', 'comparison_rows.keyword')
                ->addSelect('pinned_keyword');
        }
        if ($limit <= self::REMEMBERED_PLACES) {
            return $this->readPlaced($places);
        }
        $rows = $this->comparison
            ->table()
            ->query()
            ->joinSub($places, 'placed', 'placed.keyword', '=', 'comparison_rows.keyword')
            ->select('comparison_rows.*', 'placed.priority')
            ->orderByRaw($order('placed.priority'))
            ->get();

        return array_values($rows->map(RankedRow::fromDatabase(...))->all());
    }

    /**
     * The rows of a page that is as short as those of a screen: which ones they are is remembered.
     *
     * @return list<RankedRow>
     */
    private function readPlaced(Builder $places): array
    {
        $asked = 'places '.$places->toSql().' '.json_encode($places->getBindings(), JSON_THROW_ON_ERROR);
        /** @var array<array-key, mixed> $priorities keyword → priority, in the order of the list */
        $priorities = $this->remembered($asked, static fn(): array => $places->pluck('priority', 'keyword')->all());
        $rows = $this->comparison
            ->table()
            ->query()
            ->whereRaw('comparison_rows.keyword = ANY (ARRAY(SELECT json_array_elements_text(?::json)))', [
                json_encode(array_map(strval(...), array_keys($priorities)), JSON_THROW_ON_ERROR),
            ])
            ->get()
            ->keyBy('keyword');
        $placed = [];
        foreach ($priorities as $keyword => $priority) {
            $row = $rows->get($keyword);
            if ($row !== null) {
                $row->priority = $priority;
                $placed[] = RankedRow::fromDatabase($row);
            }
        }

        return $placed;
    }

    /**
     * Remembered until someone decides something or the data changes.
     *
     * @template Made
     *
     * @param \Closure(): Made $make
     *
     * @return Made
     */
    private function remembered(string $what, \Closure $make): mixed
    {
        /** @var Made */
        return Cache::remember(
            'ranked '.hash('sha256', implode("\n", [$this->comparison->id, $what, $this->state])),
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
        return DB::table('decisions')
            ->select('keyword as pinned_keyword')
            ->where('decisions.study_id', $this->comparison->study_id)
            ->where('pinned', true);
    }
}
