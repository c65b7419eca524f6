<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What all our positions of a comparison bring, so that each keyword's share of it is known. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE comparisons ADD own_visits float8 NOT NULL DEFAULT 0');
        foreach (DB::select('SELECT id, study_id, has_own_rows FROM comparisons') as $comparison) {
            $rows = $comparison->has_own_rows ? "comparison_rows_c{$comparison->id}" : 'comparison_rows';
            DB::update(
                "UPDATE comparisons SET own_visits = (SELECT coalesce(sum(visits_now), 0) FROM {$rows} WHERE study_id = ? "
                    .'AND comparison_id = ?) WHERE id = ?',
                [$comparison->study_id, $comparison->id, $comparison->id],
            );
        }
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE comparisons DROP own_visits');
    }
};
