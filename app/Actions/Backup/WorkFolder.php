<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Support\Texts;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** A private temporary folder for one task. */
final class WorkFolder
{
    private const NAME = 'backup-';

    /** ESRCH of POSIX. */
    private const NO_SUCH_PROCESS = 3;

    /**
     * @template Result
     *
     * @param \Closure(string): Result $work
     *
     * @return Result
     */
    public static function with(\Closure $work): mixed
    {
        self::removeLeft();
        $folder = Storage::disk('local')->path(self::NAME.getmypid().'-'.bin2hex(random_bytes(8)));
        File::makeDirectory($folder, 0o700, true);
        try {
            return $work($folder);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** What killed work has left would take the room that the next one needs. */
    private static function removeLeft(): void
    {
        foreach (Texts::list(File::glob(Storage::disk('local')->path(self::NAME.'*'))) as $left) {
            $process = (int) substr(basename($left), \strlen(self::NAME));
            if ($process > 0 && ! posix_kill($process, 0) && posix_get_last_error() === self::NO_SUCH_PROCESS) {
                File::deleteDirectory($left);
            }
        }
    }
}
