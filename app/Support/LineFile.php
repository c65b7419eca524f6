<?php

declare(strict_types=1);

namespace App\Support;

/** Files of lines that appear under their name only when they are complete. */
final class LineFile
{
    private const BUFFER = 1 << 18;

    /**
     * @param iterable<string> $lines each with its line end
     *
     * @throws \RuntimeException when the disk is full
     */
    public static function write(string $path, iterable $lines): void
    {
        $file = fopen("{$path}.unfinished", 'wb') ?: throw self::unwritable($path);
        $buffer = '';
        foreach ($lines as $line) {
            $buffer .= $line;
            if (\strlen($buffer) >= self::BUFFER) {
                self::flush($file, $buffer, $path);
                $buffer = '';
            }
        }
        self::flush($file, $buffer, $path);
        fclose($file);
        rename("{$path}.unfinished", $path);
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

    /** @param resource $file */
    private static function flush($file, string $buffer, string $path): void
    {
        if (fwrite($file, $buffer) !== \strlen($buffer)) {
            throw self::unwritable($path);
        }
    }

    private static function unwritable(string $path): \RuntimeException
    {
        return new \RuntimeException("{$path} cannot be written; there may be no room left in its folder.");
    }
}
