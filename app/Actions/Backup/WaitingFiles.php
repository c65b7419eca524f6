<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Models\Upload;
use App\Support\Texts;
use Illuminate\Http\File as OneFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** The files of the store that wait to be imported, to a folder of this machine and back. */
final class WaitingFiles
{
    public static function count(): int
    {
        return \count(Storage::files(Upload::FOLDER));
    }

    public static function writeTo(string $folder): void
    {
        File::ensureDirectoryExists($folder);
        foreach (Texts::list(Storage::files(Upload::FOLDER)) as $stored) {
            file_put_contents($folder.'/'.basename($stored), Storage::readStream($stored));
        }
    }

    public static function replaceFrom(string $folder): void
    {
        Storage::delete(Storage::files(Upload::FOLDER));
        foreach (File::files($folder) as $file) {
            Storage::putFileAs(Upload::FOLDER, new OneFile($file->getPathname()), $file->getBasename());
        }
    }
}
