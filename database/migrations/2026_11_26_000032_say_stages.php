<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The funnel stage can be said by hand, apart from the intent; what is not said follows from the intent as before. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement("ALTER TABLE decisions ADD COLUMN stage text CHECK (stage IN ('top', 'middle', 'bottom'))");
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE decisions DROP COLUMN stage');
    }
};
