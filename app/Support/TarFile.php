<?php

declare(strict_types=1);

namespace App\Support;

use App\Exceptions\UserError;
use Symfony\Component\Process\Process;

/** Files of one folder as one file and back, by `tar`. */
final readonly class TarFile
{
    public function __construct(private string $path)
    {
    }

    /**
     * Under its name only once it is whole; only its owner can read it.
     *
     * @throws UserError when it cannot be written
     */
    public function pack(string $folder): void
    {
        $part = $this->path.'.part';
        $process = new Process(['tar', '--create', '--file', $part, '--directory', $folder, '.'], null, null, null, null);
        if ($process->run() !== 0 || ! chmod($part, 0o600) || ! rename($part, $this->path)) {
            @unlink($part);
            throw UserError::because('file', 'Can’t write the file. Does its folder exist, and is there space?');
        }
    }

    /**
     * @param list<string> $names of the parts that are wanted; whatever else is in it stays there
     *
     * @throws UserError when it is not whole
     */
    public function unpack(string $folder, array $names): void
    {
        $parts = array_map(static fn(string $name): string => './'.$name, $names);
        $process = new Process(
            ['tar', '--extract', '--file', $this->path, '--directory', $folder, '--no-same-owner', '--no-same-permissions', ...$parts],
            null,
            null,
            null,
            null,
        );
        if (! is_file($this->path) || $process->run() !== 0) {
            throw UserError::because('file', 'Can’t read this file. Is it complete and the right kind?');
        }
    }
}
