<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Exceptions\UserError;

/** What a backup says of itself, so that what was restored can be held against it. */
final readonly class BackupManifest
{
    /**
     * @param string                $madeAt  ISO 8601
     * @param string                $schema  the last migration
     * @param string                $dump    SHA-256 of the dump of the database
     * @param array<string, int>    $rows    table → its rows
     * @param ?array<string, string> $uploads files that wait to be imported → SHA-256; null in backups that kept no sums
     */
    public function __construct(
        public string $madeAt,
        public string $schema,
        public string $dump,
        public array $rows,
        public ?array $uploads,
    ) {
    }

    public function write(string $path): void
    {
        file_put_contents($path, json_encode($this, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n");
    }

    /** @return ?array<string, string> */
    private static function sums(mixed $uploads): ?array
    {
        if (! \is_array($uploads)) {
            return null;
        }
        $sums = [];
        foreach ($uploads as $name => $sum) {
            $sums[(string) $name] = \is_string($sum) ? $sum : '';
        }
        ksort($sums);

        return $sums;
    }

    /** @throws UserError when the file is none of a backup */
    public static function read(string $path): self
    {
        $said = is_file($path) ? json_decode((string) file_get_contents($path), true) : null;
        $rows = \is_array($said) ? $said['rows'] ?? null : null;
        if (! \is_array($said) || ! \is_array($rows)) {
            throw UserError::because('file', 'This file is not a Greater Reach backup: it has no manifest.');
        }
        $text = static fn(string $name): string => \is_string($said[$name] ?? null) ? $said[$name] : '';
        $counts = [];
        foreach ($rows as $table => $count) {
            $counts[(string) $table] = \is_int($count) ? $count : 0;
        }

        return new self($text('madeAt'), $text('schema'), $text('dump'), $counts, self::sums($said['uploads'] ?? null));
    }
}
