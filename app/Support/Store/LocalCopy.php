<?php

declare(strict_types=1);

namespace App\Support\Store;

use App\Support\Tabular\UnpackedFile;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\Storage;

/**
 * A file of the store as one on this machine, for as long as this lives: the file itself where the store is a folder here, else a copy that
 * goes with this.
 */
final readonly class LocalCopy
{
    private function __construct(public string $path, private bool $isCopy)
    {
    }

    public function __destruct()
    {
        if ($this->isCopy) {
            @unlink($this->path);
        }
    }

    /** @return ?self null where the store has no such file */
    public static function of(string $stored): ?self
    {
        $store = Storage::disk();
        if ($store instanceof LocalFilesystemAdapter) {
            return is_file($store->path($stored)) ? new self($store->path($stored), false) : null;
        }
        $from = $store->exists($stored) ? $store->readStream($stored) : null;
        if ($from === null) {
            return null;
        }
        $copy = new self(UnpackedFile::temporary(), true);
        file_put_contents($copy->path, $from);

        return $copy;
    }
}
