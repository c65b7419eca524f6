<?php

declare(strict_types=1);

namespace App\Support\Database;

/**
 * Looks values up by keyword in a stream that is in key order, as long as the keywords are asked for in key order too.
 *
 * @template T
 */
final class KeyedStream
{
    /** @param \Generator<string, T> $values keyword → value, in key order, each keyword once */
    public function __construct(private readonly \Generator $values)
    {
    }

    /** @return ?T */
    public function at(string $keyword): mixed
    {
        while ($this->values->valid() && strcmp((string) $this->values->key(), $keyword) < 0) {
            $this->values->next();
        }

        return $this->values->valid() && (string) $this->values->key() === $keyword ? $this->values->current() : null;
    }

    /**
     * Gathers consecutive rows that share their first column.
     *
     * @template Row of non-empty-array<int, mixed>
     *
     * @param iterable<Row> $rows lists whose first column is a text
     *
     * @return \Generator<string, non-empty-list<Row>>
     */
    public static function grouped(iterable $rows): \Generator
    {
        $keyword = '';
        $group = [];
        foreach ($rows as $row) {
            if ($group !== [] && $row[0] !== $keyword) {
                yield $keyword => $group;
                $group = [];
            }
            $keyword = (string) Figures::text($row[0]);
            $group[] = $row;
        }
        if ($group !== []) {
            yield $keyword => $group;
        }
    }
}
