<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A topic is the unit of work: its figures are kept beside the rows of a comparison. Every comparison is made anew when next asked for. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(<<<'SQL'
            CREATE TABLE comparison_topics (
                comparison_id bigint NOT NULL REFERENCES comparisons (id) ON DELETE CASCADE,
                topic text COLLATE "C" NOT NULL,
                lead text COLLATE "C" NOT NULL,
                keywords integer NOT NULL,
                own_url text COLLATE "C",
                own_position smallint,
                target smallint NOT NULL,
                volume bigint,
                difficulty float8,
                cpc float8,
                visits_now float8,
                potential float8,
                gain float8,
                win_chance float8,
                expected_gain float8,
                horizon text COLLATE "C",
                tactic text COLLATE "C" NOT NULL,
                links_to_earn integer,
                intent text COLLATE "C" NOT NULL,
                effort_days float8 NOT NULL,
                worth float8,
                score_expected float8,
                score_volume float8,
                score_ease float8,
                score_gain float8,
                score_value float8,
                score_intent float8,
                score_fit float8,
                PRIMARY KEY (comparison_id, topic)
            )
            SQL);
        DB::statement('UPDATE studies SET data_version = data_version + 1');
    }

    public function down(): void
    {
        DB::statement('DROP TABLE comparison_topics');
    }
};
