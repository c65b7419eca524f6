<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RankedRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Weights;

/** One page of the ranked list, what is pinned first, then ordered by the weights given, with the parts of every priority. */
final class ReadOpportunities
{
    /** @return array{rows: list<array<string, mixed>>, next: ?string, total: int} */
    public function execute(Comparison $comparison, Sentence $sentence, Weights $weights, int $minFit, int $offset, int $limit, bool $pinsFirst = true): array
    {
        $list = new RankedRows($comparison, $sentence, $minFit, $pinsFirst);
        $total = $list->count();
        $page = $list->page($weights, $offset, $limit);
        $ranked = [];
        foreach ((new ComparisonRows($comparison))->presentAll($page) as $number => $presented) {
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
