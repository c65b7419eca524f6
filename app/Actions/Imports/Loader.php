<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use GreaterReach\Core\Intake\BadCell;

/**
 * Knows how one kind of import is staged and settled.
 *
 * Values of a row stand by field: those of the kind of file, and of these the needed ones always.
 *
 * @phpstan-type Values array<string, string|int|float|bool|list<string|int|null>|null>
 * @phpstan-type StagedRow list<mixed>
 */
interface Loader
{
    /** @return list<string> tables it fills whose rows bear the number of their import; an undo empties them of these */
    public static function tables(): array;

    /** Makes the staging table of this session. */
    public function prepare(): void;

    /** @return list<string> columns of the staging table */
    public function columns(): array;

    /**
     * @param Values $values
     *
     * @return StagedRow|BadCell|null the row to stage, what is wrong with it, or null when it is to be dropped
     */
    public function stage(int $line, array $values): array|BadCell|null;

    /**
     * Turns the staging table into what the study keeps. Runs inside the import's transaction.
     *
     * @return list<string> what was done, a sentence each
     */
    public function settle(Import $import): array;

    /** What has changed against what the study knew before; asked after settling, null where there is nothing to count. */
    public function changes(Import $import): ?ChangeCounts;
}
