<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Exceptions\Refused;
use App\Models\Study;
use App\Models\Upload;
use App\Support\TarFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Puts a backup in the place of what an installation keeps, and holds what came of it against the backup's manifest. */
final readonly class RestoreBackup
{
    public function __construct(private MakeBackup $backup)
    {
    }

    /**
     * @param ?string $keep where what stands here now is written first; null where there is nothing to keep
     *
     * @throws Refused when there is something here that would be lost, or the file is not whole
     */
    public function execute(string $path, ?string $keep): BackupManifest
    {
        if ($keep === null && Study::query()->exists()) {
            throw Refused::because('keep', 'There are studies here; say with --keep=FILE where they are to be written first.');
        }

        return WorkFolder::with(function (string $folder) use ($path, $keep): BackupManifest {
            $manifest = self::unpack($path, $folder);
            if ($keep !== null) {
                $this->backup->execute($keep);
            }
            self::replace($folder, $keep);
            self::check($manifest);

            return $manifest;
        });
    }

    private static function unpack(string $path, string $folder): BackupManifest
    {
        (new TarFile($path))->unpack($folder, [MakeBackup::MANIFEST, MakeBackup::DUMP, Upload::FOLDER]);
        $manifest = BackupManifest::read($folder.'/'.MakeBackup::MANIFEST);
        if (hash_file('sha256', $folder.'/'.MakeBackup::DUMP) !== $manifest->dump) {
            throw Refused::because('file', 'The database in this backup is not what its manifest says; the file was damaged.');
        }

        return $manifest;
    }

    private static function replace(string $folder, ?string $keep): void
    {
        DB::statement('DROP SCHEMA public CASCADE');
        DB::statement('CREATE SCHEMA public');
        try {
            PostgresTools::run('pg_restore', [
                '--no-owner', '--no-privileges', '--exit-on-error', '--schema=public', '--dbname='.DB::getDatabaseName(),
                $folder.'/'.MakeBackup::DUMP,
            ]);
        } catch (Refused $problem) {
            throw Refused::because('file', $problem->getMessage().($keep === null ? '' : " What was here before is in {$keep}."));
        }
        WaitingFiles::replaceFrom($folder.'/'.Upload::FOLDER);
        DB::statement('ANALYZE');
    }

    private static function check(BackupManifest $manifest): void
    {
        $rows = TableCounts::read();
        foreach ($manifest->rows as $table => $count) {
            if (($rows[$table] ?? null) !== $count) {
                throw Refused::because('file', sprintf('Of %s, %d of %d rows came back.', $table, $rows[$table] ?? 0, $count));
            }
        }
    }
}
