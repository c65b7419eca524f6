<?php

declare(strict_types=1);

namespace App\Support\Database;

use Illuminate\Support\Facades\DB;

/** Gives every study a partition of each large table, and every comparison one of its own below that. */
final class StudyPartitions
{
    private const TABLES = ['rankings', 'metrics', 'results', 'performance'];

    /** The orders in which people look at a comparison most: with an index the first page needs no reading of all rows. */
    private const ORDERS = ['volume' => 'DESC', 'gain' => 'DESC', 'difficulty' => 'ASC', 'own_position' => 'ASC'];

    /** What is asked of all rows at once while a sentence is built: counts and distributions read this index alone, a quarter of the table. */
    private const COUNTED = [
        'competitors_in_10', 'competitors_in_20', 'competitors_in_50', 'competitors_ranking', 'words', 'presence', 'brands', 'volume', 'difficulty',
        'visits_now', 'gain', 'standing', 'intent', 'cpc',
    ];

    /** The best rows of each combination of scores, for the ranked list under any weights. */
    private const SCORES = ['score_volume', 'score_ease', 'score_gain', 'score_value', 'score_intent', 'score_fit'];

    public function createFor(int $study): void
    {
        foreach (self::TABLES as $table) {
            DB::statement("CREATE TABLE IF NOT EXISTS {$table}_s{$study} PARTITION OF {$table} FOR VALUES IN ({$study})");
        }
        DB::statement("CREATE TABLE IF NOT EXISTS comparison_rows_s{$study} PARTITION OF comparison_rows FOR VALUES IN ({$study}) PARTITION BY LIST (comparison_id)");
    }

    /** A table for the rows of one comparison, which readers do not see before it is attached. */
    public function createDetached(int $study, int $comparison): string
    {
        $table = self::rowsOf($comparison);
        DB::statement("CREATE TABLE {$table} (LIKE comparison_rows INCLUDING ALL)");
        DB::statement("ALTER TABLE {$table} ADD CONSTRAINT {$table}_bounds CHECK (study_id = {$study} AND comparison_id = {$comparison})");

        return $table;
    }

    public function attach(int $study, int $comparison): void
    {
        $table = self::rowsOf($comparison);
        foreach (self::ORDERS as $column => $order) {
            DB::statement("CREATE INDEX ON {$table} ({$column} {$order} NULLS LAST, keyword)");
        }
        DB::statement("CREATE INDEX ON {$table} (".implode(', ', self::SCORES).', gain DESC NULLS LAST, difficulty, keyword) WHERE is_listed');
        DB::statement("CREATE INDEX ON {$table} (own_position) INCLUDE (".implode(', ', self::COUNTED).')');
        DB::statement("ALTER TABLE comparison_rows_s{$study} ATTACH PARTITION {$table} FOR VALUES IN ({$comparison})");
        DB::statement("ALTER TABLE {$table} DROP CONSTRAINT {$table}_bounds");
    }

    /** Lets readers rely on the indexes alone, and the planner on what is in them. For outside of transactions. */
    public function settle(int $comparison): void
    {
        DB::statement('VACUUM (ANALYZE) '.self::rowsOf($comparison));
    }

    public function drop(int $comparison): void
    {
        DB::statement('DROP TABLE IF EXISTS '.self::rowsOf($comparison));
    }

    /** The table of the rows of one comparison alone; asking it instead of the whole spares the planner a guess and the server two conditions a row. */
    public static function rowsOf(int $comparison): string
    {
        return "comparison_rows_c{$comparison}";
    }
}
