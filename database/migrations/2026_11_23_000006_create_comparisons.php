<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('comparisons', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->string('channel', 7);
            $table->smallInteger('within');
            $table->date('as_of')->nullable();
            $table->unsignedBigInteger('data_version');
            $table->jsonb('domains');
            $table->jsonb('summary');
            $table->timestampTz('created_at')->useCurrent();
            $table->index(['study_id', 'channel']);
        });
        Schema::table('studies', function (Blueprint $table): void {
            $table->foreignId('comparison_id')->nullable()->constrained()->nullOnDelete();
        });
        DB::statement(<<<'SQL'
            CREATE TABLE comparison_rows (
                study_id bigint NOT NULL,
                comparison_id bigint NOT NULL,
                keyword text COLLATE "C" NOT NULL,
                standing text COLLATE "C" NOT NULL,
                own_position smallint,
                own_url text COLLATE "C",
                best_competitor smallint,
                best_position smallint,
                competitors_ranking smallint NOT NULL,
                competitors_above smallint NOT NULL,
                positions smallint[] NOT NULL,
                previous smallint[] NOT NULL,
                presence bigint NOT NULL,
                movement text COLLATE "C",
                page_conflict boolean NOT NULL,
                volume bigint,
                volume_derived boolean NOT NULL,
                difficulty double precision,
                cpc numeric,
                advertiser_competition double precision,
                words smallint NOT NULL,
                brands bigint NOT NULL,
                intent text COLLATE "C",
                topic text COLLATE "C",
                target smallint,
                visits_now double precision,
                potential double precision,
                gain double precision,
                win_chance double precision,
                expected_gain double precision,
                horizon text COLLATE "C",
                tactic text COLLATE "C",
                links_to_earn bigint,
                score_volume smallint,
                score_ease smallint,
                score_gain smallint,
                score_value smallint,
                score_intent smallint,
                score_fit smallint,
                is_listed boolean NOT NULL,
                PRIMARY KEY (study_id, comparison_id, keyword)
            ) PARTITION BY LIST (study_id)
            SQL);
    }

    public function down(): void
    {
        Schema::dropIfExists('comparison_rows');
        Schema::table('studies', fn(Blueprint $table) => $table->dropConstrainedForeignId('comparison_id'));
        Schema::dropIfExists('comparisons');
    }
};
