<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 12);
            $table->text('file_name');
            $table->char('sha256', 64);
            $table->date('day');
            $table->unsignedBigInteger('rows_kept');
            $table->unsignedBigInteger('rows_dropped');
            $table->unsignedBigInteger('rows_bad');
            $table->jsonb('mapping');
            $table->timestampTz('created_at')->useCurrent();
            // "Was this very file imported before?"
            $table->index(['study_id', 'kind', 'sha256']);
        });
        Schema::create('snapshots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('domain_id')->constrained()->cascadeOnDelete();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->string('channel', 7);
            $table->date('day');
            $table->unsignedBigInteger('keywords');
            $table->unsignedBigInteger('rankings');
            // "The newest snapshot of this domain on or before a day", and one snapshot a day.
            $table->unique(['domain_id', 'channel', 'day']);
            $table->index('import_id');
        });
        DB::statement("ALTER TABLE snapshots ADD CONSTRAINT snapshots_channel CHECK (channel IN ('organic', 'paid'))");
        Schema::create('sources', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->foreignId('snapshot_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('domain_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->string('channel', 7)->nullable();
            $table->date('day');
            $table->index(['study_id', 'kind']);
            $table->index('import_id');
            $table->index('snapshot_id');
        });
    }

    public function down(): void
    {
        foreach (['sources', 'snapshots', 'imports'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
