<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        DB::statement(
            'ALTER TABLE comparison_rows ADD season text COLLATE "C", ADD peak smallint, ADD is_code boolean NOT NULL DEFAULT false, '
                .'ADD is_navigational boolean NOT NULL DEFAULT false',
        );
        DB::statement('ALTER TABLE decisions ADD note text, ADD topic text COLLATE "C"');
        DB::statement(
            <<<'SQL'
                CREATE TABLE tags (
                    study_id bigint NOT NULL REFERENCES studies ON DELETE CASCADE,
                    tag text NOT NULL,
                    keyword text COLLATE "C" NOT NULL,
                    PRIMARY KEY (study_id, tag, keyword)
                )
                SQL
        );
        // "Which tags does this keyword bear?"
        DB::statement('CREATE INDEX tags_of_keyword ON tags (study_id, keyword)');
        Schema::table('changes', fn(Blueprint $table) => $table->timestampTz('undone_at')->nullable());
        Schema::create('lenses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('study_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 80);
            $table->text('show');
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['study_id', 'name']);
            $table->index('user_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('lenses');
        Schema::table('changes', fn(Blueprint $table) => $table->dropColumn('undone_at'));
        Schema::dropIfExists('tags');
        DB::statement('ALTER TABLE decisions DROP note, DROP topic');
        DB::statement('ALTER TABLE comparison_rows DROP season, DROP peak, DROP is_code, DROP is_navigational');
    }
};
