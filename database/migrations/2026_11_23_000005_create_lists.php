<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The large tables: partitioned by study, read only within one study, keywords ordered by code point. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(<<<'SQL'
            CREATE TABLE rankings (
                study_id bigint NOT NULL,
                snapshot_id bigint NOT NULL,
                keyword text COLLATE "C" NOT NULL,
                ordinal smallint NOT NULL,
                position smallint NOT NULL CHECK (position BETWEEN 1 AND 100),
                url text COLLATE "C",
                features text,
                PRIMARY KEY (study_id, snapshot_id, keyword, ordinal)
            ) PARTITION BY LIST (study_id)
            SQL);
        DB::statement(<<<'SQL'
            CREATE TABLE metrics (
                study_id bigint NOT NULL,
                source_id bigint NOT NULL,
                keyword text COLLATE "C" NOT NULL,
                volume bigint CHECK (volume >= 0),
                difficulty double precision CHECK (difficulty BETWEEN 0 AND 100),
                cpc numeric CHECK (cpc >= 0),
                advertiser_competition double precision CHECK (advertiser_competition >= 0),
                monthly bigint[],
                PRIMARY KEY (study_id, source_id, keyword)
            ) PARTITION BY LIST (study_id)
            SQL);
        DB::statement(<<<'SQL'
            CREATE TABLE results (
                study_id bigint NOT NULL,
                import_id bigint NOT NULL,
                keyword text COLLATE "C" NOT NULL,
                day date NOT NULL,
                position smallint NOT NULL CHECK (position BETWEEN 1 AND 100),
                url text COLLATE "C" NOT NULL,
                authority double precision,
                page_strength double precision,
                referring_domains bigint,
                title text
            ) PARTITION BY LIST (study_id)
            SQL);
        DB::statement('CREATE INDEX results_keyword ON results (study_id, keyword, day)');
        DB::statement(<<<'SQL'
            CREATE TABLE performance (
                study_id bigint NOT NULL,
                import_id bigint NOT NULL,
                query text COLLATE "C" NOT NULL,
                page text COLLATE "C",
                day date,
                clicks bigint NOT NULL,
                impressions bigint NOT NULL,
                position double precision NOT NULL
            ) PARTITION BY LIST (study_id)
            SQL);
        DB::statement('CREATE INDEX performance_query ON performance (study_id, import_id, query)');
    }

    public function down(): void
    {
        foreach (['performance', 'results', 'metrics', 'rankings'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
