<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Exceptions\Refused;

/** What a backup says of itself, so that what was restored can be held against it. */
final readonly class BackupManifest
{
    /**
     * @param string             $madeAt   ISO 8601
     * @param string             $schema   the last migration
     * @param string             $dump     SHA-256 of the dump of the database
     * @param array<string, int> $rows     table → its rows
     * @param int                $uploads  files that wait to be imported
     */
    public function __construct(
        public string $madeAt,
        public string $schema,
        public string $dump,
        public array $rows,
        public int $uploads,
    ) {
    }

    public function write(string $path): void
    {
        file_put_contents($path, json_encode($this, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n");
    }

    /** @throws Refused when the file is none of a backup */
    public static function read(string $path): self
    {
        $said = is_file($path) ? json_decode((string) file_get_contents($path), true) : null;
        $rows = \is_array($said) ? $said['rows'] ?? null : null;
        if (! \is_array($said) || ! \is_array($rows)) {
            throw Refused::because('file', 'This is no backup of Greater Reach: it has no manifest.');
        }
        $text = static fn(string $name): string => \is_string($said[$name] ?? null) ? $said[$name] : '';
        $counts = [];
        foreach ($rows as $table => $count) {
            $counts[(string) $table] = \is_int($count) ? $count : 0;
        }

        return new self($text('madeAt'), $text('schema'), $text('dump'), $counts, \is_int($said['uploads'] ?? null) ? $said['uploads'] : 0);
    }
}
