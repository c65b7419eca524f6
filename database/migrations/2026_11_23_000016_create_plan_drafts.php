<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Other ways to lay the same items over the months, beside the plan that is agreed. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('plan_drafts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 60);
            $table->char('start', 7);
            $table->unsignedSmallInteger('months');
            // Days of work in each month.
            $table->double('capacity');
            // Number of the item → YYYY-MM; opaque, read and written whole.
            $table->jsonb('placements')->default('{}');
            $table->integer('version')->default(1);
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['study_id', 'name']);
            $table->index('user_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('plan_drafts');
    }
};
