<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What stands out most in a comparison is kept with it, so that the list of studies can tell it of each. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('comparisons', static function (Blueprint $table): void {
            $table->jsonb('finding')->nullable();
            // Unknown where nothing tells the chances.
            $table->bigInteger('shown_quick_wins')->nullable()->default(null)->change();
        });
    }

    public function down(): void
    {
        Schema::table('comparisons', static function (Blueprint $table): void {
            $table->dropColumn('finding');
        });
        DB::table('comparisons')->whereNull('shown_quick_wins')->update(['shown_quick_wins' => 0]);
        Schema::table('comparisons', static function (Blueprint $table): void {
            $table->bigInteger('shown_quick_wins')->default(0)->nullable(false)->change();
        });
    }
};
