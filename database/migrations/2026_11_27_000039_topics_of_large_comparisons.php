<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The topics of a large comparison get a table of their own beside that of its rows: filled and indexed in bulk, and dropped whole. */
return new class extends Migration {
    private const SCORES =
        'score_expected, score_volume, score_ease, score_gain, score_value, score_intent, score_fit';

    public function up(): void
    {
        foreach ($this->large() as $comparison) {
            $own = "comparison_topics_c{$comparison}";
            DB::statement("CREATE TABLE {$own} (LIKE comparison_topics INCLUDING DEFAULTS INCLUDING CONSTRAINTS)");
            DB::statement("INSERT INTO {$own} SELECT * FROM comparison_topics WHERE comparison_id = {$comparison}");
            DB::statement("DELETE FROM comparison_topics WHERE comparison_id = {$comparison}");
            DB::statement("ALTER TABLE {$own} ADD PRIMARY KEY (topic)");
            DB::statement("CREATE INDEX ON {$own} (expected_gain) INCLUDE (topic, gain, difficulty, ".self::SCORES.')');
            DB::statement("ANALYZE {$own}");
        }
    }

    public function down(): void
    {
        foreach ($this->large() as $comparison) {
            DB::statement("INSERT INTO comparison_topics SELECT * FROM comparison_topics_c{$comparison}");
            DB::statement("DROP TABLE comparison_topics_c{$comparison}");
        }
    }

    /** @return list<int> */
    private function large(): array
    {
        return DB::table('comparisons')->where('has_own_rows', true)->orderBy('id')->pluck('id')->map(intval(...))->values()->all();
    }
};
