<?php

declare(strict_types=1);

namespace App\Actions\Archive;

use App\Actions\Backup\CopyFile;
use App\Actions\Backup\WorkFolder;
use App\Exceptions\UserError;
use App\Models\Study;
use App\Support\TarFile;
use Illuminate\Support\Facades\DB;

/**
 * Makes a study out of the archive of another installation, all or nothing. Its rows go into tables of a schema of their own first, and
 * from there, with numbers of this installation, into those that everybody reads.
 */
final class ImportStudy
{
    /**
     * @param ?string $slug short name here; null takes the one it had
     *
     * @throws UserError when it is no whole archive of this version, or the name is taken
     */
    public function execute(string $path, ?string $slug): Study
    {
        return WorkFolder::with(static function (string $folder) use ($path, $slug): Study {
            $manifest = self::unpack($path, $folder);
            $name = $slug ?? $manifest->slug;
            self::checkName($name);
            $schema = 'taken_'.bin2hex(random_bytes(6));
            try {
                self::stage($schema, $folder);

                return DB::transaction(static fn(): Study => self::settle(new StagedStudy($schema), $manifest, $name));
            } finally {
                DB::statement("DROP SCHEMA IF EXISTS {$schema} CASCADE");
            }
        });
    }

    private static function unpack(string $path, string $folder): ArchiveManifest
    {
        $tar = new TarFile($path);
        $tar->unpack($folder, [ArchiveManifest::FILE]);
        $manifest = ArchiveManifest::read($folder);
        $names = ArchiveManifest::files();
        $tar->unpack($folder, $names);
        foreach ($names as $name) {
            $file = $folder.'/'.$name;
            if (is_link($file) || ! is_file($file) || hash_file('sha256', $file) !== ($manifest->files[$name] ?? null)) {
                throw UserError::because('file', sprintf('"%s" in the archive differs from its manifest: the file is damaged.', $name));
            }
        }

        return $manifest;
    }

    private static function checkName(string $slug): void
    {
        if (preg_match('/^[a-z0-9][a-z0-9-]{0,62}$/D', $slug) !== 1 || Study::withTrashed()->where('slug', $slug)->exists()) {
            throw UserError::because(
                'name',
                sprintf('A study "%s" already exists here, or the name isn’t valid. Choose another with --name.', $slug),
            );
        }
    }

    /** What the database refuses in a row, its checks aside, it refuses here. */
    private static function stage(string $schema, string $folder): void
    {
        $columns = ['study' => StudyTables::ABOUT, StudyTables::PEOPLE => ['id', 'email']];
        $from = ['study' => 'studies', StudyTables::PEOPLE => 'users'];
        foreach (array_keys(StudyTables::numbers()) as $table) {
            $columns[$table] = TableColumns::of($table);
            $from[$table] = $table;
        }
        DB::statement("CREATE SCHEMA {$schema}");
        $copy = new CopyFile();
        foreach ($columns as $table => $names) {
            $list = implode(', ', $names);
            DB::statement("CREATE UNLOGGED TABLE {$schema}.{$table} AS SELECT {$list} FROM public.{$from[$table]} WHERE false");
            $copy->load("{$schema}.{$table}", "{$folder}/{$table}.csv");
        }
    }

    private static function settle(StagedStudy $staged, ArchiveManifest $manifest, string $slug): Study
    {
        $study = $staged->makeStudy($slug);
        $staged->number();
        foreach (array_keys(StudyTables::numbers()) as $table) {
            $came = $staged->bringIn($table, $study->id);
            if ($came !== ($manifest->rows[$table] ?? 0)) {
                $rows = $manifest->rows[$table] ?? 0;
                throw UserError::because('file', sprintf('%s: only %d of %d rows were imported.', $table, $came, $rows));
            }
        }

        return $study;
    }
}
