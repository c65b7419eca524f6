<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Models\Comparison;
use App\Support\Database\RowStream;
use App\Support\Tabular\Table;

/**
 * Every topic with its keywords: primaries in taking order, each followed by its secondaries in key order. Where people
 * gave a topic a name of its own, its keyword with the most volume is the primary one.
 */
final class TopicsExport
{
    private const HEADINGS = ['topic', 'keyword', 'role', 'volume', 'own_url'];

    /**
     * The rows are read as they are asked for, inside a transaction of the caller's.
     *
     * @param Comparison $comparison organic and within 100, so that no URL of ours is left out
     */
    public function table(Comparison $comparison): Table
    {
        return new Table(self::HEADINGS, self::rows($comparison));
    }

    /** @return \Generator<int, list<string|int|float|bool|null>> */
    private static function rows(Comparison $comparison): \Generator
    {
        yield from RowStream::of(<<<SQL
            SELECT topic, keyword, CASE WHEN keyword = main THEN 'primary' ELSE 'secondary' END, volume, own_url
            FROM (
                SELECT topic, keyword, volume, own_url, first_value(keyword) OVER main AS main, first_value(volume) OVER main AS main_volume
                FROM {$comparison->table()->from()} WHERE topic IS NOT NULL
                WINDOW main AS (PARTITION BY topic ORDER BY keyword <> topic, volume DESC NULLS LAST, keyword)
            ) gathered
            ORDER BY main_volume DESC NULLS LAST, main, keyword <> main, keyword
            SQL);
    }
}
