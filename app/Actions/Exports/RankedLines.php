<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Support\Database\RowStream;

/** The rows of a ranked table as they are written: numbered from 1, its measures as numbers. */
final class RankedLines
{
    /**
     * @param string                $sql      whose first column makes room for the rank
     * @param list<int>             $measures places of columns that are no whole numbers
     * @param array<string, string> $statuses name in the second column → status on the roadmap, which comes last
     *
     * @return \Generator<int, list<string|int|float|bool|null>>
     */
    public static function of(string $sql, array $measures, array $statuses): \Generator
    {
        $rank = 0;
        foreach (RowStream::of($sql) as $row) {
            $row[0] = ++$rank;
            foreach ($measures as $place) {
                $row[$place] = $row[$place] === null ? null : (float) $row[$place];
            }
            $row[] = $statuses[(string) $row[1]] ?? null;
            yield $row;
        }
    }
}
