<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Chances are learnt from pages that exist and from finished work, new and existing pages apart. Rows keep all that they are weighed from;
 * the setting `effect` goes, as nothing takes its place; every comparison is computed again when it is next asked for.
 */
return new class extends Migration {
    private const GONE = ['effect'];

    public function up(): void
    {
        $own = DB::table('comparisons')->where('has_own_rows', true)->pluck('id')->all();
        foreach (['comparison_rows', ...array_map(static fn(mixed $id): string => "comparison_rows_c{$id}", $own)] as $table) {
            DB::statement(
                "ALTER TABLE {$table} ADD has_page bool NOT NULL DEFAULT false, ADD page_one_median float8, ADD own_page_links bigint, "
                    .'ADD measured_clicks bigint, ADD measured_impressions bigint, ADD worth float8, ADD score_worth float8, '
                    .'ALTER score_cell TYPE bigint',
            );
        }
        foreach (['comparison_topics', ...array_map(static fn(mixed $id): string => "comparison_topics_c{$id}", $own)] as $table) {
            DB::statement("ALTER TABLE {$table} ADD score_worth float8");
        }
        DB::table('rulebook_settings')->whereIn('key', self::GONE)->delete();
        foreach (DB::table('changes')->where('what', 'rulebook')->get(['id', 'detail']) as $change) {
            /** @var array<string, string> $settings */
            $settings = json_decode($change->detail, true, 8, JSON_THROW_ON_ERROR);
            $kept = array_diff_key($settings, array_flip(self::GONE));
            DB::table('changes')->where('id', $change->id)->update(['detail' => json_encode((object) $kept, JSON_THROW_ON_ERROR)]);
        }
        DB::statement('UPDATE studies SET data_version = data_version + 1');
    }

    public function down(): void
    {
        throw new RuntimeException('What was weighed by these rules cannot be turned back into what was weighed before.');
    }
};
