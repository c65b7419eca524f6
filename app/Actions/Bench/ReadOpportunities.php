<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Catalogue\WeighedRow;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RankedRow;
use App\Support\Rows\RankedRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Weights;

/** One page of the ranked list, what is pinned first, then ordered by the weights given, with the parts of every priority. */
final class ReadOpportunities
{
    /** @return array{rows: list<array<string, mixed>>, next: ?string, total: int} */
    public function execute(
        Comparison $comparison,
        Sentence $sentence,
        Weights $weights,
        FitGate $gate,
        int $offset,
        int $limit,
        bool $pinsFirst = true,
    ): array {
        $list = new RankedRows($comparison, $sentence, $gate, $pinsFirst);
        $total = $list->count();
        $page = $list->page($weights, $offset, $limit);
        $ranked = [];
        $rows = array_map(static fn(RankedRow $row): WeighedRow => $row->row, $page);
        foreach ((new ComparisonRows($comparison))->presentAll($rows) as $number => $presented) {
            $ranked[] = [
                'rank' => $offset + $number + 1,
                ...$presented,
                'priority' => $page[$number]->priority,
                'scores' => $page[$number]->row->scores?->toArray(),
            ];
        }

        return ['rows' => $ranked, 'next' => $offset + $limit < $total ? (string) ($offset + $limit) : null, 'total' => $total];
    }
}
