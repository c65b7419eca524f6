<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Recent rows cannot be deleted by any session: the setting that allowed it could be set by the application's own role. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(<<<'SQL'
            CREATE OR REPLACE FUNCTION audit_stays() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF TG_OP = 'DELETE' AND OLD.at < clock_timestamp() - interval '30 days' THEN
                    RETURN OLD;
                END IF;
                RAISE EXCEPTION 'The audit record is added to and never changed.';
            END $$
            SQL);
    }

    public function down(): void
    {
        DB::statement(<<<'SQL'
            CREATE OR REPLACE FUNCTION audit_stays() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                IF TG_OP = 'DELETE' AND current_setting('reach.audit_retention', true) = 'on' THEN
                    RETURN OLD;
                END IF;
                RAISE EXCEPTION 'The audit record is added to and never changed.';
            END $$
            SQL);
    }
};
