<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Of what is decided, all that changes no figure is known as such, so that what is worked out need not be worked out anew. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE changes ADD COLUMN leaves_figures boolean NOT NULL DEFAULT false');
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE changes DROP COLUMN leaves_figures');
    }
};
