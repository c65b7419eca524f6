<?php

declare(strict_types=1);

namespace App\Support\Sources;

/** One page of a longer answer. */
final readonly class SourcePage
{
    /** @param list<array<string, string|int|float|null>> $rows */
    public function __construct(public array $rows, public ?int $next)
    {
    }
}
