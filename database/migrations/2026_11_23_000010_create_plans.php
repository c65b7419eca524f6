<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('plans', function (Blueprint $table): void {
            $table->foreignId('study_id')->primary()->constrained()->cascadeOnDelete();
            $table->char('start', 7);
            $table->unsignedSmallInteger('months');
            // Days of work in each month.
            $table->double('capacity');
        });
        DB::statement(<<<'SQL'
            CREATE TABLE plan_items (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                study_id bigint NOT NULL REFERENCES studies ON DELETE CASCADE,
                keyword text COLLATE "C" NOT NULL,
                month char(7) CHECK (month ~ '^[0-9]{4}-(0[1-9]|1[0-2])$'),
                status text NOT NULL DEFAULT 'planned' CHECK (status IN ('planned', 'writing', 'published', 'done', 'dropped')),
                tactic text NOT NULL,
                effort_days double precision NOT NULL CHECK (effort_days >= 0),
                links_to_earn bigint,
                owner text NOT NULL DEFAULT '',
                due date,
                is_pinned boolean NOT NULL DEFAULT false,
                brief jsonb NOT NULL DEFAULT '{}',
                -- What it promised when it was done: gain, win chance, season, visits then, and the band month by month.
                done_month char(7),
                promise jsonb,
                version integer NOT NULL DEFAULT 1,
                updated_by bigint REFERENCES users ON DELETE SET NULL,
                updated_at timestamptz NOT NULL DEFAULT now(),
                UNIQUE (study_id, keyword),
                CHECK ((status = 'done') = (done_month IS NOT NULL))
            )
            SQL);
    }

    public function down(): void
    {
        Schema::dropIfExists('plan_items');
        Schema::dropIfExists('plans');
    }
};
