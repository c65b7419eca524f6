<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Support\Tabular\UnpackedFile;
use App\Support\Texts;
use GreaterReach\Core\Intake\FileProblem;
use Illuminate\Http\File;
use Illuminate\Support\Facades\Storage;
use League\Flysystem\FilesystemException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Files that were written in the background, each kept in the store for a day under the number of its task. */
final class ExportStorage
{
    private const FOLDER = 'exports';
    private const SECONDS = 86_400;

    /**
     * What is cut off leaves nothing that could be taken for whole.
     *
     * @param \Closure(string): void $write to a path
     *
     * @throws FileProblem when there is no room for it
     */
    public function write(int $task, \Closure $write): void
    {
        $this->sweep();
        $path = UnpackedFile::temporary();
        try {
            $write($path);
            clearstatcache(true, $path);
            Storage::putFileAs(self::FOLDER, new File($path), self::name($task));
        } catch (FilesystemException) {
            Storage::delete(self::stored($task));
            throw FileProblem::noRoom();
        } finally {
            @unlink($path);
        }
    }

    /** @return ?StreamedResponse the file under a name; null once it is gone */
    public function download(int $task, string $name, string $type): ?StreamedResponse
    {
        $stored = self::stored($task);

        return Storage::exists($stored) ? Storage::download($stored, $name, ['Content-Type' => $type]) : null;
    }

    private function sweep(): void
    {
        foreach (Texts::list(Storage::files(self::FOLDER)) as $stored) {
            if (Storage::lastModified($stored) < time() - self::SECONDS) {
                Storage::delete($stored);
            }
        }
    }

    private static function name(int $task): string
    {
        return $task.'.xlsx';
    }

    private static function stored(int $task): string
    {
        return self::FOLDER.'/'.self::name($task);
    }
}
