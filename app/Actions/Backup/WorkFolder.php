<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** A folder that nobody else may look into, for as long as some work lasts. */
final class WorkFolder
{
    /**
     * @template Result
     *
     * @param \Closure(string): Result $work
     *
     * @return Result
     */
    public static function with(\Closure $work): mixed
    {
        $folder = Storage::disk('local')->path('backup-'.bin2hex(random_bytes(8)));
        File::makeDirectory($folder, 0o700, true);
        try {
            return $work($folder);
        } finally {
            File::deleteDirectory($folder);
        }
    }
}
