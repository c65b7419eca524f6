<?php

declare(strict_types=1);

namespace App\Support\Database;

use Illuminate\Support\Facades\DB;

/** Writes rows into a table with PostgreSQL's COPY, some thousand at a time. */
final class CopyWriter
{
    private const BATCH = 5000;
    private const NULL = '\\N';

    /** The same for the driver, which puts it into an SQL string with escapes. */
    private const NULL_AS = '\\\\N';

    /** @var list<string> */
    private array $lines = [];

    private int $written = 0;

    /** @param list<string> $columns */
    public function __construct(private readonly string $table, private readonly array $columns)
    {
    }

    /** @param list<mixed> $values one per column: scalars, null, or lists of whole numbers, which become PostgreSQL arrays */
    public function write(array $values): void
    {
        $this->add(self::line($values));
    }

    /** @param string $line as line() makes it */
    public function add(string $line): void
    {
        $this->lines[] = $line;
        if (\count($this->lines) >= self::BATCH) {
            $this->flush();
        }
    }

    /** @param list<mixed> $values as write() takes them */
    public static function line(array $values): string
    {
        // Spelt out for the types of nearly every cell: this runs some ten times a row.
        $line = [];
        foreach ($values as $value) {
            $line[] = match (true) {
                $value === null => self::NULL,
                \is_int($value) => $value,
                \is_float($value) && $value === (float) (int) $value => (int) $value,
                \is_string($value) && strpbrk($value, "\\\t\n\r") === false => $value,
                default => self::encode($value),
            };
        }

        return implode("\t", $line)."\n";
    }

    /** @return int rows written so far */
    public function flush(): int
    {
        if ($this->lines !== []) {
            DB::connection()->getPdo()->pgsqlCopyFromArray($this->table, $this->lines, "\t", self::NULL_AS, implode(',', $this->columns));
            $this->written += \count($this->lines);
            $this->lines = [];
        }

        return $this->written;
    }

    private static function encode(mixed $value): string
    {
        return match (true) {
            \is_string($value) => addcslashes($value, "\\\t\n\r"),
            \is_float($value) => Figures::exact($value),
            \is_bool($value) => $value ? 't' : 'f',
            $value instanceof \BackedEnum => (string) $value->value,
            $value instanceof \Stringable => addcslashes((string) $value, "\\\t\n\r"),
            \is_array($value) => '{'.
                implode(',', array_map(static fn(mixed $item): string => (string) (Figures::int($item) ?? 'NULL'), $value)).
                '}',
            default => throw new \InvalidArgumentException('COPY cannot write a '.get_debug_type($value).'.'),
        };
    }
}
