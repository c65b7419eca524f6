<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** "At least two competitors in the top 20" is asked all the time; rows of comparisons made before know it from `positions` alone. */
return new class extends Migration {
    private const TOPS = [10, 20, 50];

    public function up(): void
    {
        foreach (self::TOPS as $top) {
            DB::statement("ALTER TABLE comparison_rows ADD COLUMN competitors_in_{$top} smallint");
        }
    }

    public function down(): void
    {
        foreach (self::TOPS as $top) {
            DB::statement("ALTER TABLE comparison_rows DROP COLUMN competitors_in_{$top}");
        }
    }
};
