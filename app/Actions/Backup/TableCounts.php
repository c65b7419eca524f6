<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use Illuminate\Support\Facades\DB;

/** How many rows each table holds. */
final class TableCounts
{
    /** Tables that change without any action of a person. */
    private const PASSING = ['cache', 'cache_locks', 'sessions', 'jobs', 'job_batches', 'failed_jobs'];

    /** @return array<string, int> table → rows; of a divided table all together */
    public static function read(): array
    {
        $counts = [];
        /** @var list<object{name: string}> $tables */
        $tables = DB::select(
            "SELECT relname AS name FROM pg_class WHERE relnamespace = 'public'::regnamespace AND relkind IN ('r', 'p') "
                .'AND NOT relispartition ORDER BY relname',
        );
        foreach ($tables as $table) {
            if (! \in_array($table->name, self::PASSING, true)) {
                $counts[$table->name] = DB::table($table->name)->count();
            }
        }

        return $counts;
    }
}
