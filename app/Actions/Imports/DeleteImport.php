<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Models\Snapshot;
use Illuminate\Support\Facades\DB;

/** Deletes an import with all that it brought. What it had superseded counts again, by its foreign key. */
final class DeleteImport
{
    public function execute(Import $import): void
    {
        DeleteSnapshots::execute(Snapshot::withSuperseded()->where('import_id', $import->id)->get());
        DB::delete('DELETE FROM metrics WHERE study_id = ? AND source_id IN (SELECT id FROM sources WHERE import_id = ?)', [
            $import->study_id,
            $import->id,
        ]);
        foreach (Loaders::tables() as $table) {
            DB::table($table)->where('study_id', $import->study_id)->where('import_id', $import->id)->delete();
        }
        $import->delete();
    }
}
