<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\PrioritySql;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Weights;

/** One page of the ranked list, what is pinned first, then ordered by the weights given, with the parts of every priority. */
final class ReadOpportunities
{
    /** @return array{rows: list<array<string, mixed>>, next: ?string, total: int} */
    public function execute(Comparison $comparison, Sentence $sentence, Weights $weights, int $minFit, int $offset, int $limit, bool $pinsFirst = true): array
    {
        $source = new ComparisonRows($comparison);
        $rows = $source->query($sentence)->where('is_listed', true)->when($minFit > 0, static fn($query) => $query->where('score_fit', '>=', $minFit));
        $total = $rows->clone()->count();
        $page = $rows->select('comparison_rows.*')->selectRaw(PrioritySql::expression($weights).' AS priority')->when($pinsFirst, static fn($query) => $query->orderByRaw('keyword IN (SELECT keyword FROM decisions WHERE decisions.study_id = ? AND pinned) DESC', [$comparison->study_id]))->orderByRaw(PrioritySql::order($weights))->offset($offset)->limit($limit)->get()->all();
        $ranked = [];
        foreach ($source->presentAll(array_values($page)) as $number => $presented) {
            $row = $page[$number];
            $ranked[] = ['rank' => $offset + $number + 1, ...$presented, 'priority' => $row->priority === null ? null : (float) $row->priority, 'scores' => self::scores($row)];
        }

        return ['rows' => $ranked, 'next' => $offset + $limit < $total ? (string) ($offset + $limit) : null, 'total' => $total];
    }

    /** @return array<string, ?int> criterion → score */
    private static function scores(\stdClass $row): array
    {
        $scores = [];
        foreach (Criterion::names() as $name) {
            $scores[$name] = $row->{'score_'.$name};
        }

        return $scores;
    }
}
