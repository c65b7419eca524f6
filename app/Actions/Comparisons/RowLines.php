<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Catalogue\RowCatalogue;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\CopyWriter;

/** The rows of one comparison as COPY reads them. */
final readonly class RowLines
{
    public function __construct(private int $study, private int $comparison)
    {
    }

    /** @return list<string> in the order of the lines */
    public static function columns(): array
    {
        return ['study_id', 'comparison_id', ...RowCatalogue::columns()];
    }

    public function of(WeighedRow $row): string
    {
        return CopyWriter::line([$this->study, $this->comparison, ...$row->cells()]);
    }
}
