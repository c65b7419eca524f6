<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** Files that were written in the background, each kept for a day under the number of its task. */
final class KeptFiles
{
    private const FOLDER = 'exports';
    private const SECONDS = 86_400;
    private const UNFINISHED = '.part';

    /**
     * What is cut off leaves nothing that could be taken for whole.
     *
     * @param \Closure(string): void $write to a path
     */
    public function write(int $task, \Closure $write): void
    {
        $this->sweep();
        $path = self::path($task);
        File::ensureDirectoryExists(\dirname($path));
        try {
            $write($path.self::UNFINISHED);
            rename($path.self::UNFINISHED, $path);
        } finally {
            File::delete($path.self::UNFINISHED);
        }
    }

    /** @return ?string null once it is gone */
    public function find(int $task): ?string
    {
        return is_file(self::path($task)) ? self::path($task) : null;
    }

    private function sweep(): void
    {
        /** @var string $path */
        foreach (File::glob(Storage::path(self::FOLDER).'/*') as $path) {
            if (filemtime($path) < time() - self::SECONDS) {
                File::delete($path);
            }
        }
    }

    private static function path(int $task): string
    {
        return Storage::path(self::FOLDER.'/'.$task.'.xlsx');
    }
}
