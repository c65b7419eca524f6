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
        $table = $this->tableOf($comparison);
        DB::statement("CREATE TABLE {$table} (LIKE comparison_rows INCLUDING ALL)");
        DB::statement("ALTER TABLE {$table} ADD CONSTRAINT {$table}_bounds CHECK (study_id = {$study} AND comparison_id = {$comparison})");

        return $table;
    }

    public function attach(int $study, int $comparison): void
    {
        $table = $this->tableOf($comparison);
        foreach (self::ORDERS as $column => $order) {
            DB::statement("CREATE INDEX ON {$table} ({$column} {$order} NULLS LAST, keyword)");
        }
        DB::statement("CREATE INDEX ON {$table} (".implode(', ', self::SCORES).', gain DESC NULLS LAST, difficulty, keyword) WHERE is_listed');
        DB::statement("ALTER TABLE comparison_rows_s{$study} ATTACH PARTITION {$table} FOR VALUES IN ({$comparison})");
        DB::statement("ALTER TABLE {$table} DROP CONSTRAINT {$table}_bounds");
        DB::statement("ANALYZE {$table}");
    }

    public function drop(int $comparison): void
    {
        DB::statement("DROP TABLE IF EXISTS {$this->tableOf($comparison)}");
    }

    private function tableOf(int $comparison): string
    {
        return "comparison_rows_c{$comparison}";
    }
}
