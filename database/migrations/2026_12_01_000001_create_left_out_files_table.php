<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Files that people leave out of a batch, by their name without its day, so that next month's is proposed the same way. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('left_out_files', function (Blueprint $table): void {
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->text('name');
            $table->primary(['study_id', 'name']);
        });
    }

    public function down(): void
    {
        Schema::drop('left_out_files');
    }
};
