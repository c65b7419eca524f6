<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What people decide about a keyword: apart from everything computed, so that no new data can lose it. */
return new class extends Migration {
    public function up(): void
    {
        DB::statement(<<<'SQL'
            CREATE TABLE decisions (
                study_id bigint NOT NULL REFERENCES studies ON DELETE CASCADE,
                keyword text COLLATE "C" NOT NULL,
                mark text CHECK (mark IN ('shortlisted', 'set aside')),
                reason text,
                target smallint CHECK (target BETWEEN 1 AND 100),
                fit smallint CHECK (fit BETWEEN 0 AND 5),
                intent text CHECK (intent IN ('buy', 'compare', 'learn', 'open')),
                updated_by bigint REFERENCES users ON DELETE SET NULL,
                updated_at timestamptz NOT NULL DEFAULT now(),
                PRIMARY KEY (study_id, keyword)
            )
            SQL);
        Schema::create('changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('what', 40);
            $table->jsonb('detail');
            $table->timestampTz('created_at')->useCurrent();
            $table->index(['study_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('changes');
        Schema::dropIfExists('decisions');
    }
};
