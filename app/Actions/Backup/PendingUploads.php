<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Models\Upload;
use App\Support\Texts;
use Illuminate\Http\File as OneFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** The files of the store that wait to be imported, to a folder of this machine and back. */
final class PendingUploads
{
    /** @return array<string, string> name → SHA-256 of what was written */
    public static function writeTo(string $folder): array
    {
        File::ensureDirectoryExists($folder);
        foreach (Texts::list(Storage::files(Upload::FOLDER)) as $stored) {
            file_put_contents($folder.'/'.basename($stored), Storage::readStream($stored));
        }

        return self::sumsIn($folder);
    }

    /** @return array<string, string> name → SHA-256, by name */
    public static function sumsIn(string $folder): array
    {
        $sums = [];
        foreach (File::files($folder) as $file) {
            $sums[$file->getBasename()] = (string) hash_file('sha256', $file->getPathname());
        }
        ksort($sums);

        return $sums;
    }

    public static function replaceFrom(string $folder): void
    {
        Storage::delete(Storage::files(Upload::FOLDER));
        foreach (File::files($folder) as $file) {
            Storage::putFileAs(Upload::FOLDER, new OneFile($file->getPathname()), $file->getBasename());
        }
    }
}
