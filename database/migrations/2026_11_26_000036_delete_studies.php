<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A study that is deleted is kept a while, and known by who did it. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE studies ADD deleted_at timestamptz, ADD deleted_by bigint REFERENCES users ON DELETE SET NULL');
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE studies DROP deleted_at, DROP deleted_by');
    }
};
