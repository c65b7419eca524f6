<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\Refused;
use App\Models\Comparison;
use App\Support\Catalogue\CatalogueEntry;
use App\Support\Catalogue\RowCatalogue;
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
    public const BY_PRIORITY = 'priority';

    /**
     * @param string $sort the priority, or what an order of the bench is called
     *
     * @return array{rows: list<array<string, mixed>>, next: ?string, total: int}
     *
     * @throws Refused when there is no such order
     */
    public function execute(
        Comparison $comparison,
        Sentence $sentence,
        Weights $weights,
        FitGate $gate,
        int $offset,
        int $limit,
        bool $pinsFirst = true,
        string $sort = self::BY_PRIORITY,
        bool $descending = true,
    ): array {
        $list = new RankedRows($comparison, $sentence, $gate, $pinsFirst);
        $total = $list->count();
        $page = $list->page($weights, $offset, $limit, self::column($sort), $descending);
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

    /** @return ?CatalogueEntry null for the priority */
    private static function column(string $sort): ?CatalogueEntry
    {
        $orders = RowCatalogue::orders();

        return $sort === self::BY_PRIORITY
            ? null
            : $orders[$sort] ?? throw Refused::because(
                'sort',
                sprintf('Sorting goes by one of %s.', implode(', ', [self::BY_PRIORITY, ...array_keys($orders)])),
            );
    }
}
