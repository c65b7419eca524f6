<?php

declare(strict_types=1);

namespace App\Support;

/** Files of lines that appear under their name only when they are complete. */
final class LineFile
{
    private const BUFFER = 1 << 18;

    private string $buffer = '';

    /** @param resource $file */
    private function __construct(private readonly string $path, private $file)
    {
    }

    /** @throws \RuntimeException when the disk is full, as add() and end() do */
    public static function begin(string $path): self
    {
        return new self($path, fopen("{$path}.unfinished", 'wb') ?: throw self::unwritable($path));
    }

    /** @param string $line with its line end */
    public function add(string $line): void
    {
        $this->buffer .= $line;
        if (\strlen($this->buffer) >= self::BUFFER) {
            $this->flush();
        }
    }

    /** Lets it appear under its name. */
    public function end(): void
    {
        $this->flush();
        fclose($this->file);
        rename("{$this->path}.unfinished", $this->path);
    }

    /**
     * @param iterable<string> $lines each with its line end
     *
     * @throws \RuntimeException when the disk is full
     */
    public static function write(string $path, iterable $lines): void
    {
        $file = self::begin($path);
        foreach ($lines as $line) {
            $file->add($line);
        }
        $file->end();
    }

    /** @return \Generator<int, string> with their line ends */
    public static function read(string $path): \Generator
    {
        $file = fopen($path, 'rb') ?: throw new \RuntimeException("{$path} cannot be read.");
        while (($line = fgets($file)) !== false) {
            yield $line;
        }
        fclose($file);
    }

    private function flush(): void
    {
        if (fwrite($this->file, $this->buffer) !== \strlen($this->buffer)) {
            throw self::unwritable($this->path);
        }
        $this->buffer = '';
    }

    private static function unwritable(string $path): \RuntimeException
    {
        return new \RuntimeException("{$path} cannot be written. The disk may be full.");
    }
}
