<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use App\Support\Pulse;
use GreaterReach\Core\Intake\FileProblem;

/**
 * Objects as rows: a JSON list of objects (RFC 8259), or one object after another, as a rule one a line. Read as a stream
 * of objects, each with the line on which it begins; the names that occur in any of them are the columns.
 */
final class JsonTable implements TableFile
{
    private const BOM = "\u{FEFF}";
    private const DEPTH = 32;

    /** @var list<string> */
    private array $headers;

    private bool $isList = false;

    /** @param resource $file */
    private function __construct(private $file, private readonly int $maxRecord, Pulse $pulse)
    {
        $names = [];
        foreach ($this->objects() as $line => $object) {
            $names += array_fill_keys(array_keys($object), true);
            if (\count($names) > TableFile::MOST_COLUMNS) {
                throw FileProblem::tooManyColumns($line, TableFile::MOST_COLUMNS);
            }
            $pulse->beat();
        }
        $this->headers = array_map(strval(...), array_keys($names));
        if ($this->headers === []) {
            throw FileProblem::empty();
        }
    }

    /**
     * @param int $maxRecord bytes that one object may have
     *
     * @throws FileProblem
     */
    public static function open(string $path, int $maxRecord, Pulse $pulse): self
    {
        return new self(TextEncoding::open($path), $maxRecord, $pulse);
    }

    public function headers(): array
    {
        return $this->headers;
    }

    public function format(): string
    {
        return $this->isList ? 'JSON, a list of objects' : 'JSON, an object a line';
    }

    public function rows(): \Generator
    {
        foreach ($this->objects() as $line => $object) {
            $cells = [];
            foreach ($this->headers as $name) {
                $cells[] = self::cell($object[$name] ?? null);
            }
            yield $line => $cells;
        }
    }

    /**
     * @return \Generator<int, array<array-key, mixed>>
     *
     * @throws FileProblem
     */
    private function objects(): \Generator
    {
        rewind($this->file);
        if (fread($this->file, \strlen(self::BOM)) !== self::BOM) {
            rewind($this->file);
        }
        $objects = new JsonObjects($this->file, $this->maxRecord);
        foreach ($objects->texts() as $line => $text) {
            $this->isList = $objects->isList;
            try {
                $object = json_decode($text, true, self::DEPTH, JSON_THROW_ON_ERROR | JSON_BIGINT_AS_STRING);
            } catch (\JsonException) {
                throw FileProblem::notJson($line);
            }
            yield $line => \is_array($object) ? $object : throw FileProblem::notJson($line);
        }
    }

    private static function cell(mixed $value): string|int|float
    {
        $cell = match (true) {
            \is_int($value), \is_float($value), \is_string($value) => $value,
            $value === null => '',
            \is_bool($value) => $value ? 'true' : 'false',
            \is_array($value) && array_is_list($value) && array_filter($value, is_scalar(...)) === $value => implode(
                ', ',
                array_map(strval(...), $value),
            ),
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        };

        return \is_string($cell) && str_contains($cell, "\0") ? throw FileProblem::nulBytes() : $cell;
    }
}
