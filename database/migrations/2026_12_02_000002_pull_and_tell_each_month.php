<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A month that comes in by itself, a digest of it by mail, dated notes, and the days a month that people have. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(
            'ALTER TABLE studies ADD pull_source text, ADD pull_day smallint CHECK (pull_day BETWEEN 1 AND 28), ADD pulled_on date',
        );
        DB::statement(<<<'SQL'
            CREATE TABLE digest_subscriptions (
                id bigserial PRIMARY KEY,
                study_id bigint NOT NULL REFERENCES studies ON DELETE CASCADE,
                user_id bigint NOT NULL REFERENCES users ON DELETE CASCADE,
                sent_day date,
                UNIQUE (study_id, user_id)
            )
            SQL);
        DB::statement(<<<'SQL'
            CREATE TABLE annotations (
                id bigserial PRIMARY KEY,
                study_id bigint NOT NULL REFERENCES studies ON DELETE CASCADE,
                user_id bigint REFERENCES users ON DELETE SET NULL,
                day date NOT NULL,
                text text NOT NULL
            )
            SQL);
        DB::statement('CREATE INDEX annotations_study ON annotations (study_id, day)');
        DB::statement(<<<'SQL'
            CREATE TABLE owner_capacities (
                study_id bigint NOT NULL REFERENCES studies ON DELETE CASCADE,
                owner text NOT NULL,
                days float8 NOT NULL CHECK (days >= 0),
                PRIMARY KEY (study_id, owner)
            )
            SQL);
    }

    public function down(): void
    {
        foreach (['owner_capacities', 'annotations', 'digest_subscriptions'] as $table) {
            DB::statement("DROP TABLE {$table}");
        }
        DB::statement('ALTER TABLE studies DROP pull_source, DROP pull_day, DROP pulled_on');
    }
};
