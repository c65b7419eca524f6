<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use Symfony\Component\Process\Process;

/** The SHA-256 of a file, taken by a process of its own while the file is read. */
final readonly class FileFingerprint
{
    private function __construct(private Process $process)
    {
    }

    public static function begin(string $path): self
    {
        $process = new Process(['sha256sum', '--zero', '--', $path], timeout: null);
        $process->start();

        return new self($process);
    }

    /** @return string 64 hexadecimal digits */
    public function sha256(): string
    {
        $this->process->wait();
        if (! $this->process->isSuccessful()) {
            throw new \RuntimeException('The file could not be read for its fingerprint: '.trim($this->process->getErrorOutput()));
        }

        return substr($this->process->getOutput(), 0, 64);
    }
}
