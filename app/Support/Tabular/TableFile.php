<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;

/** An imported table: named columns, and rows as a stream that can be read repeatedly. */
interface TableFile
{
    /** Names that a header may have. */
    public const MOST_COLUMNS = 1000;

    /** @return list<string> */
    public function headers(): array;

    /** What the file is, in words for a person: `CSV with semicolons`, `XLSX, sheet "Rankings"`. */
    public function format(): string;

    /**
     * All rows below the header from the beginning, as often as asked; blank ones left out.
     *
     * @return \Generator<int, list<string|int|float>> line → cells; numbers only where the format types its cells
     *
     * @throws FileProblem
     */
    public function rows(): \Generator;
}
