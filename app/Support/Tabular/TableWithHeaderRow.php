<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;

/** A table whose header is not its first row: what stands above it, a title or a date of export, is left out. */
final readonly class TableWithHeaderRow implements TableFile
{
    /** @var list<string> */
    private array $headers;

    /** @throws FileProblem when no row begins on that line */
    private function __construct(private TableFile $table, private int $line)
    {
        $headers = null;
        foreach ($table->rows() as $at => $cells) {
            if ($at >= $line) {
                $headers = $at === $line ? $cells : null;
                break;
            }
        }
        $this->headers = $headers === null
            ? throw FileProblem::noHeaderAt($line)
            : array_map(static fn(string|int|float $cell): string => (string) $cell, $headers);
    }

    /** @param int $line physical line of the header; the first row of the file is 1 */
    public static function of(TableFile $table, int $line): TableFile
    {
        return $line <= 1 ? $table : new self($table, $line);
    }

    public function headers(): array
    {
        return $this->headers;
    }

    public function format(): string
    {
        return $this->table->format();
    }

    public function rows(): \Generator
    {
        $found = false;
        foreach ($this->table->rows() as $line => $cells) {
            if ($line > $this->line) {
                $found = true;
                yield $line => $cells;
            }
        }
        if (! $found) {
            throw FileProblem::headerOnly();
        }
    }
}
