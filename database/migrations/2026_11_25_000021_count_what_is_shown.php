<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** How many gaps and quick wins a comparison shows from the start: without competitors' brands, without what was set aside. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE comparisons ADD shown_gaps bigint NOT NULL DEFAULT 0, ADD shown_quick_wins bigint NOT NULL DEFAULT 0');
        foreach (
            DB::select('SELECT id, study_id, has_own_rows FROM comparisons WHERE id IN (SELECT comparison_id FROM studies)') as $comparison
        ) {
            $rows = $comparison->has_own_rows ? "comparison_rows_c{$comparison->id}" : 'comparison_rows';
            $counts = DB::selectOne(
                <<<SQL
                    SELECT count(*) FILTER (WHERE standing = 'gap' AND NOT (brands > 1 AND brands & 1 = 0)) AS gaps,
                        count(*) FILTER (WHERE is_listed AND horizon = 'quick win') AS wins
                    FROM {$rows} r WHERE study_id = ? AND comparison_id = ?
                        AND NOT EXISTS (SELECT 1 FROM decisions d WHERE d.study_id = r.study_id AND d.keyword = r.keyword
                            AND d.mark = 'set aside')
                    SQL,
                [$comparison->study_id, $comparison->id],
            );
            DB::update('UPDATE comparisons SET shown_gaps = ?, shown_quick_wins = ? WHERE id = ?', [
                $counts?->gaps ?? 0,
                $counts?->wins ?? 0,
                $comparison->id,
            ]);
        }
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE comparisons DROP shown_gaps, DROP shown_quick_wins');
    }
};
