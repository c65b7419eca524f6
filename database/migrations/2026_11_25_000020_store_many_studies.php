<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Lists and comparison rows lie in a fixed number of partitions by study instead of one a study, so that a new study or a small comparison
 * changes no schema. A large comparison keeps a table of its own, beside the shared one and no longer below it.
 */
return new class extends Migration {
    private const PARTITIONS = 16;

    /** Rows from which a comparison that is there already keeps its own table. */
    private const LARGE = 100_000;

    private const LISTS = ['rankings', 'metrics', 'results', 'performance'];

    public function up(): void
    {
        DB::statement('ALTER TABLE comparisons ADD has_own_rows boolean NOT NULL DEFAULT false');
        $views = DB::select("SELECT viewname, definition FROM pg_views WHERE schemaname = current_schema() AND viewname LIKE 'live\\_%'");
        foreach ($views as $view) {
            DB::statement("DROP VIEW {$view->viewname}");
        }
        foreach (self::LISTS as $table) {
            $this->moveList($table);
        }
        $this->moveRows();
        foreach ($views as $view) {
            DB::statement("CREATE VIEW {$view->viewname} AS {$view->definition}");
        }
    }

    private function moveList(string $table): void
    {
        $this->replace($table);
        DB::statement("INSERT INTO {$table} SELECT * FROM {$table}_before");
        DB::statement("DROP TABLE {$table}_before");
    }

    private function moveRows(): void
    {
        foreach (DB::select('SELECT id, study_id FROM comparisons ORDER BY id') as $comparison) {
            $this->detachLarge($comparison->study_id, $comparison->id);
        }
        $this->replace('comparison_rows');
        DB::statement('INSERT INTO comparison_rows SELECT r.* FROM comparison_rows_before r JOIN comparisons c ON c.id = r.comparison_id');
        DB::statement('DROP TABLE comparison_rows_before');
    }

    private function detachLarge(int $study, int $comparison): void
    {
        $own = "comparison_rows_c{$comparison}";
        $isThere = DB::selectOne('SELECT to_regclass(?) IS NOT NULL AS there', [$own])?->there === true;
        if ($isThere && DB::selectOne("SELECT count(*) AS rows FROM {$own}")->rows >= self::LARGE) {
            DB::statement("ALTER TABLE comparison_rows_s{$study} DETACH PARTITION {$own}");
            DB::update('UPDATE comparisons SET has_own_rows = true WHERE id = ?', [$comparison]);
        }
    }

    /** Puts a table of the same columns, constraints and indexes in its place, in partitions by study. */
    private function replace(string $table): void
    {
        $indexes = array_column(
            DB::select('SELECT indexdef FROM pg_indexes WHERE schemaname = current_schema() AND tablename = ? AND indexname NOT LIKE ?', [
                $table,
                '%\\_pkey',
            ]),
            'indexdef',
        );
        $keys = array_column(
            DB::select(
                'SELECT a.attname FROM pg_index i CROSS JOIN unnest(i.indkey) WITH ORDINALITY k (number, place) JOIN pg_attribute a '
                    .'ON a.attrelid = i.indrelid AND a.attnum = k.number WHERE i.indrelid = ?::regclass AND i.indisprimary ORDER BY '
                        .'k.place',
                [$table],
            ),
            'attname',
        );
        DB::statement("ALTER TABLE {$table} RENAME TO {$table}_before");
        $ofTable = 'SELECT indexname FROM pg_indexes WHERE schemaname = current_schema() AND tablename = ?';
        foreach (DB::select($ofTable, [$table.'_before']) as $index) {
            DB::statement("ALTER INDEX {$index->indexname} RENAME TO {$index->indexname}_before");
        }
        DB::statement("CREATE TABLE {$table} (LIKE {$table}_before INCLUDING DEFAULTS INCLUDING CONSTRAINTS) PARTITION BY HASH (study_id)");
        if ($keys !== []) {
            DB::statement("ALTER TABLE {$table} ADD PRIMARY KEY (".implode(', ', $keys).')');
        }
        for ($part = 0; $part < self::PARTITIONS; ++$part) {
            DB::statement(
                "CREATE TABLE {$table}_p{$part} PARTITION OF {$table} FOR VALUES WITH (MODULUS ".
                    self::PARTITIONS.
                    ", REMAINDER {$part})",
            );
        }
        foreach ($indexes as $index) {
            DB::statement(str_replace(' ONLY ', ' ', $index));
        }
    }

    public function down(): void
    {
        throw new RuntimeException(
            'Studies are not taken apart into partitions of their own again; restore the database from before instead.',
        );
    }
};
