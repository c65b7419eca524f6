<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Earning links for a page is an item of its own on the roadmap. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE plan_items DROP CONSTRAINT IF EXISTS plan_items_unit_check');
        DB::statement("ALTER TABLE plan_items ADD CONSTRAINT plan_items_unit_check CHECK (unit IN ('topic', 'keyword', 'links'))");
    }

    public function down(): void
    {
        DB::statement("DELETE FROM plan_items WHERE unit = 'links'");
        DB::statement('ALTER TABLE plan_items DROP CONSTRAINT plan_items_unit_check');
        DB::statement("ALTER TABLE plan_items ADD CONSTRAINT plan_items_unit_check CHECK (unit IN ('topic', 'keyword'))");
    }
};
