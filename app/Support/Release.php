<?php

declare(strict_types=1);

namespace App\Support;

use Symfony\Component\Finder\Finder;

/** The code that runs: what is remembered as it is sent is not told by another release, whose answers may have another shape. */
final class Release
{
    private const CODE = ['app', 'config', 'core', 'resources/data', 'resources/views'];

    /** What it is built of, version by version. */
    private const PARTS = 'composer.json';

    /** @var array<string, string> root → its stamp, looked at once by each process */
    private static array $known = [];

    /** @return string the same for every process and every machine that runs the same code, and another one for other code */
    public static function stamp(): string
    {
        return config()->string('reach.release');
    }

    /** @param string $root of a checkout or an installation; read again by each process that has no settings kept for it */
    public static function of(string $root): string
    {
        return self::$known[$root] ??= self::read($root);
    }

    private static function read(string $root): string
    {
        $hash = hash_init('xxh128');
        hash_update($hash, (string) file_get_contents("{$root}/".self::PARTS));
        $folders = array_filter(
            array_map(static fn(string $folder): string => "{$root}/{$folder}", self::CODE),
            is_dir(...),
        );
        foreach (Finder::create()->files()->in($folders)->sortByName() as $file) {
            hash_update($hash, "\n".substr($file->getPathname(), \strlen($root))."\n".hash_file('xxh128', $file->getPathname()));
        }

        return hash_final($hash);
    }
}
