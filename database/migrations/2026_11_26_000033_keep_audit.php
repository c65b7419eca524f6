<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who did what, when and from where: rows are added, and never changed; old ones go together when their time is over. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(<<<'SQL'
            CREATE TABLE audit (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                at timestamptz NOT NULL DEFAULT clock_timestamp(),
                -- Numbers and names as they were then; whoever or whatever they named may be gone.
                user_id bigint,
                person text,
                study_id bigint,
                study text,
                action text NOT NULL,
                status smallint NOT NULL,
                origin text NOT NULL,
                detail jsonb NOT NULL DEFAULT '{}'
            )
            SQL);
        // "What one person did", "what was done in a study", each the newest first.
        DB::statement('CREATE INDEX audit_person ON audit (person, id)');
        DB::statement('CREATE INDEX audit_study ON audit (study, id)');
        DB::statement('CREATE INDEX audit_at ON audit (at)');
        DB::statement(<<<'SQL'
            CREATE OR REPLACE FUNCTION audit_stays() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF TG_OP = 'DELETE' AND current_setting('reach.audit_retention', true) = 'on' THEN
                    RETURN OLD;
                END IF;
                RAISE EXCEPTION 'The audit record is added to and never changed.';
            END $$
            SQL);
        DB::statement('CREATE TRIGGER audit_stays BEFORE UPDATE OR DELETE ON audit FOR EACH ROW EXECUTE FUNCTION audit_stays()');
        DB::statement('CREATE TRIGGER audit_is_not_emptied BEFORE TRUNCATE ON audit EXECUTE FUNCTION audit_stays()');
    }

    public function down(): void
    {
        DB::statement('DROP TABLE audit');
        DB::statement('DROP FUNCTION IF EXISTS audit_stays');
    }
};
