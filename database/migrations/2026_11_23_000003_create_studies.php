<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('studies', function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 64)->unique();
            $table->string('name', 200);
            $table->char('country', 2);
            $table->string('language', 2);
            $table->string('device', 10);
            $table->string('currency', 3);
            $table->date('as_of')->nullable();
            // Raised by every change that a comparison depends on.
            $table->unsignedBigInteger('data_version')->default(0);
            $table->timestampsTz();
        });
        DB::statement("ALTER TABLE studies ADD CONSTRAINT studies_device CHECK (device IN ('desktop', 'mobile'))");
        Schema::create('study_members', function (Blueprint $table): void {
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 10);
            $table->primary(['study_id', 'user_id']);
            $table->index('user_id');
        });
        DB::statement("ALTER TABLE study_members ADD CONSTRAINT study_members_role CHECK (role IN ('editor', 'reader'))");
        Schema::create('rulebook_settings', function (Blueprint $table): void {
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->string('key', 40);
            $table->text('value');
            $table->timestampTz('updated_at')->useCurrent();
            $table->primary(['study_id', 'key']);
        });
        Schema::create('domains', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->string('role', 10);
            $table->smallInteger('place');
            $table->text('entry');
            $table->string('scope', 11);
            $table->decimal('authority', 6, 3)->nullable();
            $table->bigInteger('referring_domains')->nullable();
            $table->bigInteger('backlinks')->nullable();
            $table->jsonb('brand_terms')->default('[]');
            $table->date('metrics_date')->nullable();
            $table->timestampsTz();
            $table->unique(['study_id', 'entry']);
        });
        DB::statement("ALTER TABLE domains ADD CONSTRAINT domains_role CHECK (role IN ('own', 'competitor', 'candidate'))");
        DB::statement("ALTER TABLE domains ADD CONSTRAINT domains_scope CHECK (scope IN ('registrable', 'host', 'prefix', 'page'))");
        DB::statement('ALTER TABLE domains ADD CONSTRAINT domains_authority CHECK (authority BETWEEN 0 AND 100)');
        DB::statement("CREATE UNIQUE INDEX domains_one_own ON domains (study_id) WHERE role = 'own'");
    }

    public function down(): void
    {
        foreach (['domains', 'rulebook_settings', 'study_members', 'studies'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
