<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use App\Support\Database\Figures;

/** The formats a table can be written in, a piece of text at a time. */
enum TableFormat: string
{
    /** RFC 4180, UTF-8, `.` as decimal mark, empty for unknown. */
    case Csv = 'csv';
    /** An array of objects, null for unknown. */
    case Json = 'json';

    private const EOL = "\r\n";
    private const JSON_FLAGS = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    /**
     * @param bool $guarded put an apostrophe before text cells that a spreadsheet would run as a formula
     *
     * @return \Generator<int, string>
     */
    public function write(Table $table, bool $guarded = false): \Generator
    {
        return match ($this) {
            self::Csv => self::csv($table, $guarded),
            self::Json => self::json($table),
        };
    }

    public function mime(): string
    {
        return $this === self::Csv ? 'text/csv; charset=UTF-8' : 'application/json';
    }

    /** @return \Generator<int, string> */
    private static function csv(Table $table, bool $guarded): \Generator
    {
        if ($table->title !== null) {
            yield self::csvRow([$table->title], $guarded);
        }
        yield self::csvRow($table->headings, $guarded);
        foreach ($table->rows as $row) {
            yield self::csvRow($row, $guarded);
        }
    }

    /** @param list<string|int|float|bool|null> $row */
    private static function csvRow(array $row, bool $guarded): string
    {
        return implode(',', array_map(static fn(mixed $cell): string => self::csvCell($cell, $guarded), $row)).self::EOL;
    }

    private static function csvCell(string|int|float|bool|null $cell, bool $guarded): string
    {
        if (! \is_string($cell)) {
            return match (true) {
                $cell === null => '',
                \is_float($cell) => Figures::exact($cell),
                \is_bool($cell) => $cell ? 'true' : 'false',
                default => (string) $cell,
            };
        }
        $safe = $guarded && self::isFormula($cell) ? "'".$cell : $cell;

        return strpbrk($safe, ",\"\r\n") === false && trim($safe) === $safe ? $safe : '"'.str_replace('"', '""', $safe).'"';
    }

    /** Whether a spreadsheet may run a text as a formula: some read the full-width forms of the signs as the signs themselves. */
    private static function isFormula(string $cell): bool
    {
        return preg_match('/^[=+\-@\t\r＝＋－＠]/u', $cell) === 1;
    }

    /** @return \Generator<int, string> */
    private static function json(Table $table): \Generator
    {
        yield '[';
        $isFirst = true;
        foreach ($table->rows as $row) {
            yield ($isFirst ? "\n" : ",\n").json_encode((object) array_combine($table->headings, $row), self::JSON_FLAGS);
            $isFirst = false;
        }
        yield "\n]\n";
    }
}
