<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use GreaterReach\Core\Intake\BadCell;

/** The report of an import: the first thousand bad rows and how many there were. */
final class BadRows implements \JsonSerializable
{
    public const KEPT = 1000;

    /** @var list<BadCell> */
    private array $rows = [];

    private int $total = 0;

    public function add(BadCell $row): void
    {
        ++$this->total;
        if ($this->total <= self::KEPT) {
            $this->rows[] = $row;
        }
    }

    public function total(): int
    {
        return $this->total;
    }

    public function first(): ?BadCell
    {
        return $this->rows[0] ?? null;
    }

    /** @return list<BadCell> */
    public function rows(): array
    {
        return $this->rows;
    }

    /** @return array{total: int, rows: list<BadCell>} */
    public function jsonSerialize(): array
    {
        return ['total' => $this->total, 'rows' => $this->rows];
    }
}
