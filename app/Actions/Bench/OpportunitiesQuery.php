<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Catalogue\WeighedRow;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RankedRow;
use App\Support\Rows\RankedRows;
use App\Support\Rows\RowOrder;
use App\Support\Sentence\RoadmapKeywords;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Weights;

/** One page of the ranked list, what is pinned first, then ordered by the weights given, with the parts of every priority. */
final readonly class OpportunitiesQuery implements RankedList
{
    public function __construct(private RoadmapKeywords $roadmap)
    {
    }

    /**
     * @param string $sort the priority, or what an order of the bench is called
     *
     * @return array{rows: list<array<string, mixed>>, next: ?string, total: int}
     *
     * @throws \App\Exceptions\UserError when there is no such order
     */
    public function execute(
        Comparison $comparison,
        Sentence $sentence,
        Weights $weights,
        FitGate $gate,
        int $offset,
        int $limit,
        string $sort = self::BY_PRIORITY,
        bool $descending = true,
        bool $pinsFirst = true,
    ): array {
        $order = $sort === self::BY_PRIORITY
            ? null
            : RowOrder::named($sort, \count($comparison->competitors()), self::BY_PRIORITY);
        $list = new RankedRows($comparison, $sentence, $gate, $pinsFirst);
        $total = $list->count();
        $page = $list->page($weights, $offset, $limit, $order, $descending);
        $ranked = [];
        $planned = $this->roadmap->keywords($comparison);
        $rows = array_map(static fn(RankedRow $row): WeighedRow => $row->row, $page);
        foreach ((new ComparisonRows($comparison))->presentAll($rows) as $number => $presented) {
            $ranked[] = [
                'rank' => $offset + $number + 1,
                ...$presented,
                'priority' => $page[$number]->priority,
                'scores' => $page[$number]->row->scores?->toArray(),
                'roadmap' => $planned[$page[$number]->row->keyword] ?? null,
            ];
        }

        return ['rows' => $ranked, 'next' => $offset + $limit < $total ? (string) ($offset + $limit) : null, 'total' => $total];
    }
}
