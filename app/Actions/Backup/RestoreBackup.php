<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Exceptions\UserError;
use App\Models\Study;
use App\Models\Upload;
use App\Support\TarFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Puts a backup in the place of what an installation keeps, and holds what came of it against the backup's manifest. */
final readonly class RestoreBackup
{
    public function __construct(private CreateBackup $backup)
    {
    }

    /**
     * @param ?string $keep where what stands here now is written first; null where there is nothing to keep
     *
     * @throws UserError when there is something here that would be lost, or the file is not whole
     */
    public function execute(string $path, ?string $keep): BackupManifest
    {
        if ($keep === null && Study::query()->exists()) {
            throw UserError::because('keep', 'This installation has studies. Use --keep=FILE to save them first.');
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
        (new TarFile($path))->unpack($folder, [CreateBackup::MANIFEST, CreateBackup::DUMP, Upload::FOLDER]);
        self::refuseLinks($folder);
        $manifest = BackupManifest::read($folder.'/'.CreateBackup::MANIFEST);
        if (hash_file('sha256', $folder.'/'.CreateBackup::DUMP) !== $manifest->dump) {
            throw UserError::because('file', 'The database in this backup differs from its manifest: the file is damaged.');
        }

        if ($manifest->uploads !== null && PendingUploads::sumsIn($folder.'/'.Upload::FOLDER) !== $manifest->uploads) {
            throw UserError::because('file', 'The uploads in this backup differ from its manifest: the file is damaged.');
        }

        return $manifest;
    }

    /** A symbolic link in an archive may lead to any file of this machine. */
    private static function refuseLinks(string $folder): void
    {
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS),
            \RecursiveIteratorIterator::SELF_FIRST,
        );
        foreach ($files as $file) {
            if ($file instanceof \SplFileInfo && ($file->isLink() || ! ($file->isFile() || $file->isDir()))) {
                throw UserError::because('file', 'This backup contains a link instead of a file, so it wasn’t made by Greater Reach.');
            }
        }
    }

    private static function replace(string $folder, ?string $keep): void
    {
        $sql = $folder.'/restore.sql';
        // In one transaction: a restore that is killed leaves what was there before.
        file_put_contents($sql, "BEGIN;\nDROP SCHEMA public CASCADE;\nCREATE SCHEMA public;\n\\i dump.sql\nCOMMIT;\n");
        try {
            PostgresTools::run('pg_restore', [
                '--no-owner', '--no-privileges', '--schema=public', '--file='.$folder.'/dump.sql', $folder.'/'.CreateBackup::DUMP,
            ]);
            PostgresTools::run('psql', ['--no-psqlrc', '--quiet', '--set=ON_ERROR_STOP=1', '--file='.$sql], $folder);
        } catch (UserError $problem) {
            throw UserError::because('file', $problem->getMessage().($keep === null ? '' : " Previous data saved in {$keep}."));
        }
        PendingUploads::replaceFrom($folder.'/'.Upload::FOLDER);
        DB::statement('ANALYZE');
    }

    private static function check(BackupManifest $manifest): void
    {
        $rows = TableCounts::read();
        foreach ($manifest->rows as $table => $count) {
            if (($rows[$table] ?? null) !== $count) {
                throw UserError::because('file', sprintf('%s: only %d of %d rows were restored.', $table, $rows[$table] ?? 0, $count));
            }
        }
    }
}
