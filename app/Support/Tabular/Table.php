<?php

declare(strict_types=1);

namespace App\Support\Tabular;

/**
 * A table to be written out: headings and a stream of rows, in the same order.
 *
 * @phpstan-type Cell string|int|float|bool|null
 */
final readonly class Table
{
    /**
     * @param list<string>         $headings
     * @param iterable<list<Cell>> $rows     null for unknown
     * @param ?string              $title    a line above the headings, where the format has room for it
     */
    public function __construct(public array $headings, public iterable $rows, public ?string $title = null)
    {
    }

    public function titled(?string $title): self
    {
        return new self($this->headings, $this->rows, $title);
    }
}
