<?php

declare(strict_types=1);

namespace App\Actions\Archive;

use App\Actions\Backup\PostgresTools;
use App\Actions\Backup\WorkFolder;
use App\Exceptions\UserError;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\TarFile;
use Illuminate\Support\Facades\DB;

/**
 * Exports one study to a tar archive for another installation: its tables as CSV (RFC 4180), all from one snapshot, and a
 * manifest in JSON.
 */
final class ExportStudy
{
    /** @throws UserError when the file is there already or cannot be written */
    public function execute(Study $study, string $path): ArchiveManifest
    {
        if (file_exists($path)) {
            throw UserError::because('file', 'That file already exists. Choose another name.');
        }

        return WorkFolder::with(static function (string $folder) use ($study, $path): ArchiveManifest {
            $manifest = self::write($study, $folder);
            $manifest->write($folder);
            (new TarFile($path))->pack($folder);

            return $manifest;
        });
    }

    private static function write(Study $study, string $folder): ArchiveManifest
    {
        return DB::transaction(static function () use ($study, $folder): ArchiveManifest {
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
            $snapshot = Figures::text(DB::scalar('SELECT pg_export_snapshot()'));
            self::copy($study, $folder, (string) $snapshot);
            $rows = $files = [];
            foreach (array_keys(StudyTables::numbers()) as $table) {
                $rows[$table] = DB::table($table)->where(StudyTables::STUDY, $study->id)->count();
            }
            foreach (ArchiveManifest::files() as $name) {
                $files[$name] = (string) hash_file('sha256', $folder.'/'.$name);
            }

            return new ArchiveManifest(now('UTC')->toIso8601ZuluString(), ArchiveManifest::schemaHere(), $study->slug, $files, $rows);
        });
    }

    /** By one connection of `psql`, that all tables are of the same moment. */
    private static function copy(Study $study, string $folder, string $snapshot): void
    {
        $script = "BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY;\nSET TRANSACTION SNAPSHOT '{$snapshot}';\n";
        foreach (self::questions($study) as $name => $sql) {
            $script .= "\\copy ({$sql}) TO '{$name}.csv' (FORMAT csv, HEADER)\n";
        }
        PostgresTools::script($folder, $script."COMMIT;\n");
    }

    /** @return array<string, string> name of the file → what is in it */
    private static function questions(Study $study): array
    {
        $questions = ['study' => 'SELECT '.implode(', ', StudyTables::ABOUT)." FROM studies WHERE id = {$study->id}"];
        $people = [];
        foreach (StudyTables::numbers() as $table => $numbers) {
            $columns = TableColumns::of($table);
            $questions[$table] = 'SELECT '.implode(', ', $columns)." FROM {$table} WHERE study_id = {$study->id}";
            foreach (array_keys($numbers, StudyTables::PEOPLE, true) as $column) {
                $people[] = "SELECT {$column} FROM {$table} WHERE study_id = {$study->id}";
            }
        }
        $questions[StudyTables::PEOPLE] = 'SELECT id, email FROM users WHERE id IN ('.implode(' UNION ', $people).')';

        return $questions;
    }
}
