<?php

declare(strict_types=1);

namespace App\Actions\Tidy;

use App\Actions\Comparisons\PartStore;
use App\Models\Upload;
use App\Support\Texts;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** Deletes leftovers of interrupted work: orphaned files and old temporary folders. */
final class PruneTemporaryFiles
{
    /** Work of this application takes no longer; a file younger than that may belong to work under way. */
    private const HOURS = 24;

    /** Folders of this machine whose parts are work under way, and nothing else. */
    private const WORK = ['pulls'];

    private const LEFT_BACKUP = 'backup-*';

    /** @return int how many files and folders went */
    public function execute(): int
    {
        $left = array_filter(self::leftWork(), self::isOld(...));
        foreach ($left as $path) {
            is_dir($path) ? File::deleteDirectory($path) : File::delete($path);
        }
        $unknown = [...self::unknownUploads(), ...self::leftParts()];
        Storage::delete($unknown);

        return \count($left) + \count($unknown);
    }

    /** @return list<string> as the store names them */
    private static function unknownUploads(): array
    {
        $known = array_flip(Texts::list(DB::table('uploads')->pluck('id')->all()));
        $before = self::before();

        return array_values(array_filter(
            Texts::list(Storage::files(Upload::FOLDER)),
            static fn(string $stored): bool => ! isset($known[basename($stored)]) && Storage::lastModified($stored) < $before,
        ));
    }

    /** @return list<string> of comparisons that were cut off, as the store names them */
    private static function leftParts(): array
    {
        $before = self::before();

        return array_values(array_filter(
            Texts::list(Storage::allFiles(PartStore::FOLDER)),
            static fn(string $stored): bool => Storage::lastModified($stored) < $before,
        ));
    }

    /** @return list<string> */
    private static function leftWork(): array
    {
        $found = [
            ...Texts::list(File::glob(Storage::disk('local')->path(self::LEFT_BACKUP))),
            ...self::ofOurs(Texts::list(File::glob(sys_get_temp_dir().'/reach-*'))),
        ];
        foreach (self::WORK as $folder) {
            $found = [...$found, ...Texts::list(File::glob(Storage::disk('local')->path($folder).'/*'))];
        }

        return $found;
    }

    /**
     * The folder for what is temporary is everybody's.
     *
     * @param list<string> $paths
     *
     * @return list<string>
     */
    private static function ofOurs(array $paths): array
    {
        return array_values(array_filter($paths, static fn(string $path): bool => @fileowner($path) === posix_geteuid()));
    }

    private static function isOld(string $path): bool
    {
        return (int) @filemtime($path) < self::before();
    }

    /** By the clock that files go by. */
    private static function before(): int
    {
        return time() - 3600 * self::HOURS;
    }
}
