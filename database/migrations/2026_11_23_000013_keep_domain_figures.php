<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What every source says about a domain stands side by side; `domains` bears the figures chosen from it. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('domain_figures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('domain_id')->constrained()->cascadeOnDelete();
            $table->foreignId('import_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('kind', 5);
            $table->date('day');
            $table->decimal('authority', 6, 3)->nullable();
            $table->bigInteger('referring_domains')->nullable();
            $table->bigInteger('backlinks')->nullable();
            // "All that is said about the domains of a study", and what leaves with a domain or an import.
            $table->index(['study_id', 'domain_id']);
            $table->index('domain_id');
            $table->index('import_id');
        });
        DB::statement("ALTER TABLE domain_figures ADD CONSTRAINT domain_figures_kind CHECK (kind IN ('lists', 'pulls'))");
        DB::statement('ALTER TABLE domain_figures ADD CONSTRAINT domain_figures_authority CHECK (authority BETWEEN 0 AND 100)');
        DB::statement(
            'CREATE VIEW live_domain_figures AS SELECT f.* FROM domain_figures f LEFT JOIN imports i ON i.id = f.import_id WHERE '
                .'i.superseded_by IS NULL',
        );
        DB::statement(
            <<<'SQL'
                INSERT INTO domain_figures (study_id, domain_id, kind, day, authority, referring_domains, backlinks)
                SELECT study_id, id, 'lists', metrics_date, authority, referring_domains, backlinks FROM domains
                    WHERE metrics_date IS NOT NULL
                SQL,
        );
    }

    public function down(): void
    {
        DB::statement('DROP VIEW IF EXISTS live_domain_figures');
        Schema::dropIfExists('domain_figures');
    }
};
