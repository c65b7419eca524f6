<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Database\RowStream;
use App\Support\Tabular\Table;

/** One row per keyword of the universe, by keyword key, with every competitor's position. */
final class CompareExport
{
    private const HEADINGS = [
        'keyword',
        'standing',
        'own_position',
        'own_url',
        'best_competitor',
        'best_position',
        'competitors_ranking',
        'competitors_above',
        'volume',
        'difficulty',
        'cpc',
        'movement',
    ];

    /** The rows are read as they are asked for, inside a transaction of the caller's. */
    public function table(Comparison $comparison): Table
    {
        return new Table([...self::HEADINGS, ...$comparison->competitors()], self::rows($comparison));
    }

    /** @return \Generator<int, list<string|int|float|bool|null>> */
    private static function rows(Comparison $comparison): \Generator
    {
        $competitors = $comparison->competitors();
        $sql = <<<SQL
            SELECT keyword, standing, own_position, own_url, best_competitor, best_position, competitors_ranking, competitors_above, volume,
                difficulty, cpc, movement, positions
            FROM {$comparison->table()->from()} ORDER BY keyword
            SQL;
        foreach (RowStream::of($sql) as $row) {
            $positions = Figures::ints($row[12]);
            $row[4] = $row[4] === null ? null : $competitors[$row[4] - 1];
            $row[9] = $row[9] === null ? null : (float) $row[9];
            $row[10] = $row[10] === null ? null : (float) $row[10];
            yield [...\array_slice($row, 0, 12), ...\array_slice($positions, 1)];
        }
    }
}
