<?php

declare(strict_types=1);

namespace App\Actions\Archive;

use Illuminate\Support\Facades\DB;

/** The columns of a table but the number of the study. */
final class TableColumns
{
    /** @return list<string> quoted for SQL */
    public static function of(string $table): array
    {
        /** @var list<object{name: string}> $columns */
        $columns = DB::select(
            'SELECT quote_ident(column_name) AS name FROM information_schema.columns '
                .'WHERE table_schema = current_schema() AND table_name = ? AND column_name <> ? ORDER BY ordinal_position',
            [$table, StudyTables::STUDY],
        );

        return array_column($columns, 'name');
    }
}
