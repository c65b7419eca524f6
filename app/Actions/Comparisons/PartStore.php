<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Database\AdvisoryLock;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Http\File;
use Illuminate\Support\Facades\Storage;

/** The files of one comparison in the store that all machines share, for as long as it is being made. */
final readonly class PartStore
{
    public const FOLDER = 'comparisons';

    private const OPEN = 'open';
    private const LOCKS = 7102;

    /** @param string $key of this making, known to no one else */
    public function __construct(private string $key)
    {
    }

    public function open(): void
    {
        Storage::put($this->at(self::OPEN), '');
    }

    public function isOpen(): bool
    {
        return Storage::exists($this->at(self::OPEN));
    }

    /** First no one is to bring anything more, then goes what is there. */
    public function close(): void
    {
        Storage::delete($this->at(self::OPEN));
        Storage::deleteDirectory(self::FOLDER.'/'.$this->key);
    }

    /** Under its name only once it is whole, as every store that speaks S3 does; a folder of one machine does so by another name first. */
    public function put(string $path): void
    {
        $name = basename($path);
        $first = Storage::disk() instanceof LocalFilesystemAdapter ? $name.'.coming' : $name;
        Storage::putFileAs(self::FOLDER.'/'.$this->key, new File($path), $first);
        if ($first !== $name) {
            Storage::move($this->at($first), $this->at($name));
        }
    }

    public function has(string $path): bool
    {
        return Storage::exists($this->at(basename($path)));
    }

    /** @return bool whether it is there */
    public function fetch(string $path): bool
    {
        $stream = $this->has($path) ? Storage::readStream($this->at(basename($path))) : null;
        if ($stream === null) {
            return false;
        }
        file_put_contents($path.'.unfinished', $stream);

        return rename($path.'.unfinished', $path);
    }

    public function lock(string $step, Part $part): AdvisoryLock
    {
        // 31 bits: the database has numbers with a sign.
        return new AdvisoryLock(self::LOCKS, crc32("{$this->key} {$step} {$part->number}") & 0x7FFFFFFF);
    }

    private function at(string $name): string
    {
        return self::FOLDER.'/'.$this->key.'/'.$name;
    }
}
