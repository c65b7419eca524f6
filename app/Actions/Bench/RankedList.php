<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Weights;

/** A list that weights rank, page by page. */
interface RankedList
{
    public const BY_PRIORITY = 'priority';

    /**
     * @param string $sort the priority, or one of the orders of the list
     *
     * @return array{rows: list<array<string, mixed>>, next: ?string, total: int}
     *
     * @throws \App\Exceptions\UserError when there is no such order
     */
    public function execute(
        Comparison $comparison,
        Sentence $sentence,
        Weights $weights,
        FitGate $gate,
        int $offset,
        int $limit,
        string $sort = self::BY_PRIORITY,
        bool $descending = true,
    ): array;
}
