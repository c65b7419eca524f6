<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Support\Catalogue\WeighedRow;
use App\Support\Database\Figures;

/** A row of the ranked list. */
final readonly class RankedRow
{
    /** @param ?float $priority 0…5 under the weights asked for; null where no criterion that counts is known */
    public function __construct(public WeighedRow $row, public ?float $priority)
    {
    }

    /** @param \stdClass $row a whole row with its priority beside it */
    public static function fromDatabase(\stdClass $row): self
    {
        return new self(WeighedRow::fromDatabase($row), Figures::float($row->priority));
    }
}
