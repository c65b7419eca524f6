<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Exceptions\UserError;
use App\Models\Upload;
use App\Support\Database\Figures;
use App\Support\TarFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Backs an installation up to one file: a consistent snapshot of the database, pending uploads and a manifest. */
final class CreateBackup
{
    public const DUMP = 'database.dump';
    public const MANIFEST = 'manifest.json';

    /** @throws UserError when the file is there already or cannot be written */
    public function execute(string $path): BackupManifest
    {
        if (file_exists($path)) {
            throw UserError::because('file', 'That file already exists. Choose another name.');
        }

        return WorkFolder::with(static function (string $folder) use ($path): BackupManifest {
            $uploads = PendingUploads::writeTo($folder.'/'.Upload::FOLDER);
            $manifest = self::dump($folder, $uploads);
            $manifest->write($folder.'/'.self::MANIFEST);
            (new TarFile($path))->pack($folder);

            return $manifest;
        });
    }

    /**
     * Counts and dump see the same moment.
     *
     * @param array<string, string> $uploads name → SHA-256
     */
    private static function dump(string $folder, array $uploads): BackupManifest
    {
        return DB::transaction(static function () use ($folder, $uploads): BackupManifest {
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
            $snapshot = Figures::text(DB::scalar('SELECT pg_export_snapshot()'));
            $rows = TableCounts::read();
            $dump = $folder.'/'.self::DUMP;
            PostgresTools::run('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', '--snapshot='.$snapshot, '--file='.$dump]);

            return new BackupManifest(
                now('UTC')->toIso8601ZuluString(),
                (string) Figures::text(DB::table('migrations')->orderByDesc('id')->value('migration')),
                (string) hash_file('sha256', $dump),
                $rows,
                $uploads,
            );
        });
    }
}
