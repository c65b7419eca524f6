<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Rows of comparisons made before the competitors near the top were counted get their counts too, so that there is one way to ask. */
return new class extends Migration {
    private const TOPS = [10, 20, 50];

    public function up(): void
    {
        // Our own position comes first in the list.
        $count = static fn(int $top): string => "(SELECT count(*) FROM unnest(positions[2:]) position WHERE position <= {$top})";
        DB::statement(
            'UPDATE comparison_rows SET '.
                implode(', ', array_map(static fn(int $top): string => "competitors_in_{$top} = {$count($top)}", self::TOPS)).
                ' WHERE competitors_in_10 IS NULL',
        );
        foreach (self::TOPS as $top) {
            DB::statement("ALTER TABLE comparison_rows ALTER COLUMN competitors_in_{$top} SET NOT NULL");
        }
    }

    public function down(): void
    {
        foreach (self::TOPS as $top) {
            DB::statement("ALTER TABLE comparison_rows ALTER COLUMN competitors_in_{$top} DROP NOT NULL");
        }
    }
};
