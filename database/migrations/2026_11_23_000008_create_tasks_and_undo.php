<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('uploads', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->text('file_name');
            $table->unsignedBigInteger('bytes');
            $table->timestampTz('created_at')->useCurrent();
            // "Uploads that nobody came back for."
            $table->index('created_at');
            $table->index('study_id');
            $table->index('user_id');
        });
        Schema::create('tasks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 12);
            $table->string('status', 10);
            $table->text('title');
            $table->text('stage')->default('');
            $table->unsignedBigInteger('done')->default(0);
            $table->unsignedBigInteger('total')->nullable();
            $table->text('message')->default('');
            $table->jsonb('payload');
            $table->jsonb('result')->nullable();
            $table->boolean('cancel_wanted')->default(false);
            $table->unsignedSmallInteger('starts')->default(0);
            $table->timestampTz('created_at')->useCurrent();
            $table->timestampTz('started_at')->nullable();
            $table->timestampTz('finished_at')->nullable();
            // "What is going on in this study, and what was it lately?"
            $table->index(['study_id', 'id']);
            $table->index('user_id');
        });
        DB::statement(
            "ALTER TABLE tasks ADD CONSTRAINT tasks_status CHECK (status IN ('waiting', 'running', 'done', 'failed', 'cancelled'))",
        );
        Schema::create('mappings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->char('header_sha256', 64);
            $table->jsonb('mapping');
            // "How were these columns read the last time?"
            $table->unique(['study_id', 'kind', 'header_sha256']);
        });
        Schema::table('imports', function (Blueprint $table): void {
            $table->foreignId('superseded_by')->nullable()->constrained('imports')->nullOnDelete();
            $table->text('format')->default('');
            // What the domains of the study looked like before, for an undo.
            $table->jsonb('before')->nullable();
            $table->index('superseded_by');
        });
        Schema::table('snapshots', function (Blueprint $table): void {
            $table->foreignId('superseded_by')->nullable()->constrained('imports')->nullOnDelete();
            $table->index('superseded_by');
            $table->dropUnique(['domain_id', 'channel', 'day']);
        });
        DB::statement('CREATE UNIQUE INDEX snapshots_live ON snapshots (domain_id, channel, day) WHERE superseded_by IS NULL');
        DB::statement('CREATE VIEW live_snapshots AS SELECT * FROM snapshots WHERE superseded_by IS NULL');
        DB::statement(
            <<<'SQL'
                CREATE VIEW live_sources AS SELECT s.* FROM sources s
                    JOIN imports i ON i.id = s.import_id AND i.superseded_by IS NULL
                    LEFT JOIN snapshots p ON p.id = s.snapshot_id
                    WHERE p.superseded_by IS NULL
                SQL,
        );
        foreach (['results', 'performance'] as $table) {
            DB::statement(
                "CREATE VIEW live_{$table} AS SELECT t.* FROM {$table} t JOIN imports i ON i.id = t.import_id AND i.superseded_by IS NULL",
            );
        }
    }

    public function down(): void
    {
        foreach (['live_performance', 'live_results', 'live_sources', 'live_snapshots'] as $view) {
            DB::statement("DROP VIEW IF EXISTS {$view}");
        }
        DB::statement('DROP INDEX IF EXISTS snapshots_live');
        Schema::table('snapshots', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('superseded_by');
            $table->unique(['domain_id', 'channel', 'day']);
        });
        Schema::table('imports', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('superseded_by');
            $table->dropColumn(['format', 'before']);
        });
        foreach (['mappings', 'tasks', 'uploads'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
