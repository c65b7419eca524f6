<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** People are invited, shut out and asked for a second factor; whoever could make studies still may. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(<<<'SQL'
            ALTER TABLE users
                ADD may_make_studies bool NOT NULL DEFAULT true,
                ADD disabled_at timestamptz,
                ADD totp_secret text,
                ADD totp_since timestamptz,
                ADD totp_step bigint NOT NULL DEFAULT 0,
                ADD recovery_codes jsonb NOT NULL DEFAULT '[]'
            SQL);
        DB::statement(<<<'SQL'
            CREATE TABLE entry_links (
                id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
                user_id bigint NOT NULL UNIQUE REFERENCES users ON DELETE CASCADE,
                hash char(64) NOT NULL UNIQUE,
                ends_at timestamptz NOT NULL
            )
            SQL);
    }

    public function down(): void
    {
        DB::statement('DROP TABLE entry_links');
        foreach (['may_make_studies', 'disabled_at', 'totp_secret', 'totp_since', 'totp_step', 'recovery_codes'] as $column) {
            DB::statement("ALTER TABLE users DROP {$column}");
        }
    }
};
