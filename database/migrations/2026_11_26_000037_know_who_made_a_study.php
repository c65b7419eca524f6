<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Who made a study; of those there are nobody knows. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE studies ADD made_by bigint REFERENCES users ON DELETE SET NULL');
        DB::statement('CREATE INDEX ON studies (made_by)');
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE studies DROP made_by');
    }
};
