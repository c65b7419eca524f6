<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use App\Support\Pulse;
use GreaterReach\Core\Intake\FileProblem;

/** The unpacked copy of a gzip file, thrown away when the process ends. */
final class UnpackedFile
{
    private const CHUNK = 1 << 20;

    /** @var list<string> */
    private static array $paths = [];

    private function __construct(public readonly string $path)
    {
    }

    /**
     * @param int $packed bytes of the outermost file, which the ratio is held against
     *
     * @throws FileProblem when it is damaged, or would become too large
     */
    public static function gzip(string $path, ReadLimits $limits, Pulse $pulse, int $packed): self
    {
        $copy = self::temporary();
        $in = gzopen($path, 'rb') ?: throw FileProblem::damaged('gzip file');
        $out = fopen($copy, 'wb') ?: throw FileProblem::noRoom();
        $written = 0;
        while (($chunk = (string) @gzread($in, self::CHUNK)) !== '') {
            $written += \strlen($chunk);
            $limits->allowUnpacked($written, $packed);
            if (@fwrite($out, $chunk) !== \strlen($chunk)) {
                throw FileProblem::noRoom();
            }
            $pulse->beat();
        }
        gzclose($in);
        fclose($out);
        if (! self::isWhole($path, $written)) {
            throw FileProblem::damaged('gzip file');
        }

        return new self($copy);
    }

    /** The last four bytes tell the length modulo 2³² (RFC 1952); a file cut short says something else. */
    private static function isWhole(string $path, int $written): bool
    {
        $end = (string) file_get_contents($path, false, null, max(0, (int) filesize($path) - 4));
        $length = unpack('V', str_pad($end, 4, "\0"));

        return $length !== false && $length[1] === $written % 2 ** 32;
    }

    /** Deletes every copy made so far: a worker's process outlives its tasks. */
    public static function deleteAll(): void
    {
        array_map(static fn(string $path): bool => @unlink($path), self::$paths);
        self::$paths = [];
    }

    /** A file of nothing, thrown away when the process ends. */
    public static function temporary(): string
    {
        if (self::$paths === []) {
            register_shutdown_function(self::deleteAll(...));
        }
        $path = @tempnam(sys_get_temp_dir(), 'reach-') ?: throw FileProblem::noRoom();
        self::$paths[] = $path;

        return $path;
    }
}
