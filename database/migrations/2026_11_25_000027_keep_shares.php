<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The shares of clicks by month are worked out once for each comparison. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE comparisons ADD shares jsonb');
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE comparisons DROP shares');
    }
};
