<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\Refused;
use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Paging\Cursor;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;

/** One page of the bench: rows that the sentence lets through, sorted by any column, unknown always last. */
final class ReadBench
{
    public const MOST_ROWS = 500;

    /** @return array{rows: list<array<string, mixed>>, next: ?string} */
    public function execute(Comparison $comparison, Sentence $sentence, string $sort, bool $descending, ?string $cursor, int $limit): array
    {
        $orders = RowCatalogue::orders();
        $order =
            $orders[$sort] ?? throw Refused::because('sort', sprintf('Sorting goes by one of %s.', implode(', ', array_keys($orders))));
        $column = $order->name;
        $direction = $descending ? 'DESC' : 'ASC';
        $source = new ComparisonRows($comparison);
        $rows = $source
            ->query($sentence)
            ->select('comparison_rows.*')
            ->orderByRaw("{$column} {$direction} NULLS LAST, keyword")
            ->limit($limit + 1);
        $place = Cursor::read($cursor, 2);
        if ($place !== null) {
            self::continueAfter($rows, $column, $descending, $place);
        }
        $found = ComparisonRows::read($rows);
        $page = \array_slice($found, 0, $limit);
        $last = end($page);

        return [
            'rows' => $source->presentAll($page),
            'next' => \count($found) > $limit && $last !== false ? Cursor::write([$last->orderedBy($order), $last->keyword]) : null,
        ];
    }

    /** @param list<string|int|float|null> $place */
    private static function continueAfter(\Illuminate\Database\Query\Builder $rows, string $column, bool $descending, array $place): void
    {
        [$value, $keyword] = $place;
        $beyond = $descending ? '<' : '>';
        if ($value === null) {
            $rows->whereNull($column)->where('keyword', '>', $keyword);
        } else {
            $rows->whereRaw("({$column} {$beyond} ? OR ({$column} = ? AND keyword > ?) OR {$column} IS NULL)", [$value, $value, $keyword]);
        }
    }
}
