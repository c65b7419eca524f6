<?php

declare(strict_types=1);

namespace App\Actions\Archive;

use App\Exceptions\UserError;
use Illuminate\Support\Facades\DB;

/** What the archive of a study says of itself. */
final readonly class ArchiveManifest
{
    public const FILE = 'manifest.json';
    public const FORMAT = 'greater-reach-study-1';

    /**
     * @param string                $madeAt ISO 8601
     * @param string                $schema the last migration: what the columns are
     * @param string                $slug   short name of the study
     * @param array<string, string> $files  name of a file → SHA-256
     * @param array<string, int>    $rows   table → its rows
     */
    public function __construct(
        public string $madeAt,
        public string $schema,
        public string $slug,
        public array $files,
        public array $rows,
        public string $format = self::FORMAT,
    ) {
    }

    /** @return list<string> names of the tables' files in an archive */
    public static function files(): array
    {
        return array_map(
            static fn(string $name): string => $name.'.csv',
            ['study', StudyTables::PEOPLE, ...array_keys(StudyTables::numbers())],
        );
    }

    public static function schemaHere(): string
    {
        $migration = DB::table('migrations')->orderByDesc('id')->value('migration');

        return \is_string($migration) ? $migration : '';
    }

    public function write(string $folder): void
    {
        file_put_contents($folder.'/'.self::FILE, json_encode($this, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n");
    }

    /** @throws UserError when it is no archive, or one of another version */
    public static function read(string $folder): self
    {
        $said = json_decode((string) @file_get_contents($folder.'/'.self::FILE), true);
        if (! \is_array($said) || ($said['format'] ?? null) !== self::FORMAT) {
            throw UserError::because('file', 'This file is not a study archive: its manifest is missing or wrong.');
        }
        $text = static fn(string $name): string => \is_string($said[$name] ?? null) ? $said[$name] : '';
        if ($text('schema') !== self::schemaHere()) {
            throw UserError::because('file', sprintf(
                'The archive has version %s and this installation has %s. Upgrade one of them first.',
                $text('schema'),
                self::schemaHere(),
            ));
        }
        return new self(
            $text('madeAt'),
            $text('schema'),
            $text('slug'),
            array_filter(self::named($said['files'] ?? null), is_string(...)),
            array_filter(self::named($said['rows'] ?? null), is_int(...)),
        );
    }

    /** @return array<string, mixed> */
    private static function named(mixed $said): array
    {
        $named = [];
        foreach (\is_array($said) ? $said : [] as $name => $value) {
            $named[(string) $name] = $value;
        }

        return $named;
    }
}
