<?php

declare(strict_types=1);

namespace App\Support\Rows;

/** A column of a query that says whether a row fits a sentence. */
final readonly class MatchColumn
{
    /** @param list<mixed> $bindings */
    public function __construct(public string $sql, public array $bindings)
    {
    }
}
