<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Support\Counted;
use Illuminate\Support\Facades\DB;

/** A kind of import whose rows go as they are into one table that bears the numbers of the study and the import. */
abstract class TableLoader implements Loader
{
    public function __construct(protected readonly ImportOptions $order)
    {
    }

    abstract protected static function table(): string;

    /** One row of it, in words. */
    abstract protected static function noun(): string;

    public static function tables(): array
    {
        return [static::table()];
    }

    public function prepare(): void
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.staged');
        DB::statement('CREATE TEMPORARY TABLE staged (LIKE '.static::table().') ON COMMIT DROP');
        DB::statement('ALTER TABLE staged ALTER study_id DROP NOT NULL, ALTER import_id DROP NOT NULL');
    }

    public function settle(Import $import): array
    {
        $columns = implode(', ', $this->columns());
        $kept = DB::affectingStatement(
            'INSERT INTO '.static::table()." (study_id, import_id, {$columns}) SELECT ?::bigint, ?::bigint, {$columns} FROM staged",
            [$import->study_id, $import->id],
        );

        return [sprintf('%s %s kept.', Counted::of($kept, static::noun()), $kept === 1 ? 'was' : 'were')];
    }

    public function changes(Import $import): ?ChangeCounts
    {
        return null;
    }
}
