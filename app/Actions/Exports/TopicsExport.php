<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Models\Comparison;
use App\Support\Database\RowStream;
use App\Support\Tabular\Table;

/** Every topic with its keywords: primaries in taking order, each followed by its secondaries in key order. */
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
        yield from RowStream::of(<<<'SQL'
            SELECT r.topic, r.keyword, CASE WHEN r.keyword = r.topic THEN 'primary' ELSE 'secondary' END, r.volume, r.own_url
            FROM comparison_rows r JOIN comparison_rows p ON p.study_id = r.study_id AND p.comparison_id = r.comparison_id AND p.keyword = r.topic
            WHERE r.study_id = ? AND r.comparison_id = ?
            ORDER BY p.volume DESC NULLS LAST, r.topic, r.keyword <> r.topic, r.keyword
            SQL, [$comparison->study_id, $comparison->id]);
    }
}
