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
            [4 => $best, 9 => $difficulty, 10 => $cpc, 12 => $positions] = $row;
            $row[4] = $best === null ? null : $competitors[(int) $best - 1];
            $row[9] = $difficulty === null ? null : (float) $difficulty;
            $row[10] = $cpc === null ? null : (float) $cpc;
            yield [...\array_slice($row, 0, 12), ...\array_slice(Figures::ints((string) $positions), 1)];
        }
    }
}
