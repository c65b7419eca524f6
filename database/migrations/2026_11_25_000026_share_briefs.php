<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A brief can be shared with a writer who has no account; the writer tells where the page is, and what there is to know. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement('ALTER TABLE plan_items ADD published_url text, ADD writer_note text');
        Schema::create('brief_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plan_item_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestampTz('created_at')->useCurrent();
            $table->timestampTz('expires_at');
            $table->timestampTz('revoked_at')->nullable();
            $table->timestampTz('used_at')->nullable();
            $table->index('plan_item_id');
        });
    }

    public function down(): void
    {
        Schema::drop('brief_links');
        DB::statement('ALTER TABLE plan_items DROP published_url, DROP writer_note');
    }
};
