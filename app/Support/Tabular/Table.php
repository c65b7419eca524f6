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
     */
    public function __construct(public array $headings, public iterable $rows)
    {
    }
}
