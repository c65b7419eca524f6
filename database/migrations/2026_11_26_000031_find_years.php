<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Few sources tell monthly volumes; those of some keywords are found without looking into all the others. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('CREATE INDEX metrics_years ON metrics (study_id, keyword) WHERE monthly IS NOT NULL');
    }

    public function down(): void
    {
        DB::statement('DROP INDEX metrics_years');
    }
};
