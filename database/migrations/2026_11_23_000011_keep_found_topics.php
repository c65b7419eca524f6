<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        // The topic that was found stays beside the one a person chose, so that the choice can be taken back.
        DB::statement('ALTER TABLE comparison_rows ADD COLUMN topic_found text');
        DB::statement('UPDATE comparison_rows SET topic_found = topic');
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE comparison_rows DROP COLUMN topic_found');
    }
};
