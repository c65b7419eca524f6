<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Catalogue\WeighedRow;
use App\Support\Paging\Cursor;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RowOrder;
use App\Support\Sentence\Sentence;

/** One page of the bench: rows that the sentence lets through, sorted by any column, unknown always last. */
final class BenchQuery
{
    public const MOST_ROWS = 500;

    /** @return array{rows: list<array<string, mixed>>, next: ?string} */
    public function execute(Comparison $comparison, Sentence $sentence, string $sort, bool $descending, ?string $cursor, int $limit): array
    {
        $order = RowOrder::named($sort, \count($comparison->competitors()));
        $source = new ComparisonRows($comparison);
        $rows = $source
            ->query($sentence)
            ->select('comparison_rows.*')
            ->selectRaw("{$order->sql} AS placed_by")
            ->orderByRaw($order->sql($descending))
            ->limit($limit + 1);
        $place = Cursor::read($cursor, 2);
        if ($place !== null) {
            self::continueAfter($rows, $order->sql, $descending, $place);
        }
        $found = array_values($rows->get()->all());
        $page = \array_slice($found, 0, $limit);
        /** @var object{placed_by: string|int|null, keyword: string}|false $last */
        $last = end($page);

        return [
            'rows' => $source->presentAll(array_map(WeighedRow::fromDatabase(...), $page)),
            'next' => \count($found) > $limit && $last !== false ? Cursor::write([$last->placed_by, $last->keyword]) : null,
        ];
    }

    /** @param list<string|int|float|null> $place */
    private static function continueAfter(\Illuminate\Database\Query\Builder $rows, string $by, bool $descending, array $place): void
    {
        [$value, $keyword] = $place;
        $beyond = $descending ? '<' : '>';
        if ($value === null) {
            $rows->whereRaw("{$by} IS NULL AND comparison_rows.keyword > ?", [$keyword]);
        } else {
            $rows->whereRaw(
                "({$by} {$beyond} ? OR ({$by} = ? AND comparison_rows.keyword > ?) OR {$by} IS NULL)",
                [$value, $value, $keyword],
            );
        }
    }
}
