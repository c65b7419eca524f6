<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** All that the ranked list of topics goes by stands in one index, so that other weights need not read whole rows. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(
            'CREATE INDEX comparison_topics_order ON comparison_topics (comparison_id) INCLUDE (topic, expected_gain, gain, difficulty, '
                .'score_expected, score_volume, score_ease, score_gain, score_value, score_intent, score_fit)',
        );
    }

    public function down(): void
    {
        DB::statement('DROP INDEX comparison_topics_order');
    }
};
