<?php

declare(strict_types=1);

use GreaterReach\Core\Meaning\PageMeaning;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Whether our page is meant for a keyword stands in its row, so that a list can go by it; rows made before are told, too. */
return new class extends Migration {
    private const AT_ONCE = 2000;

    public function up(): void
    {
        foreach ($this->tables() as $table) {
            DB::statement("ALTER TABLE {$table} ADD page_is_meant bool");
            DB::table($table)->whereNotNull('own_url')->select(['study_id', 'comparison_id', 'keyword', 'own_url'])
                ->orderBy('study_id')->orderBy('comparison_id')->orderBy('keyword')
                ->chunk(self::AT_ONCE, fn($rows) => $this->tell($table, $rows->all()));
        }
    }

    public function down(): void
    {
        foreach ($this->tables() as $table) {
            DB::statement("ALTER TABLE {$table} DROP page_is_meant");
        }
    }

    /** @return list<string> the one that small comparisons share, and those of large ones */
    private function tables(): array
    {
        $own = DB::table('comparisons')->where('has_own_rows', true)->orderBy('id')->pluck('id')->all();

        return ['comparison_rows', ...array_map(static fn(int $id): string => "comparison_rows_c{$id}", $own)];
    }

    /** @param array<int, \stdClass> $rows */
    private function tell(string $table, array $rows): void
    {
        $columns = ['study_id' => [], 'comparison_id' => [], 'keyword' => [], 'is_meant' => []];
        foreach ($rows as $row) {
            $columns['study_id'][] = $row->study_id;
            $columns['comparison_id'][] = $row->comparison_id;
            $columns['keyword'][] = $row->keyword;
            $columns['is_meant'][] = PageMeaning::isMeantFor($row->keyword, $row->own_url);
        }
        DB::update(
            "UPDATE {$table} changed SET page_is_meant = told.is_meant FROM (SELECT (json_array_elements(?)#>>'{}')::bigint AS study_id, "
                ."(json_array_elements(?)#>>'{}')::bigint AS comparison_id, json_array_elements(?)#>>'{}' AS keyword, "
                ."(json_array_elements(?)#>>'{}')::bool AS is_meant) told WHERE changed.study_id = told.study_id "
                .'AND changed.comparison_id = told.comparison_id AND changed.keyword = told.keyword',
            array_map(static fn(array $column): string => json_encode($column, JSON_THROW_ON_ERROR), array_values($columns)),
        );
    }
};
