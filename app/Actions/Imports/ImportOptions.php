<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Domain;
use App\Models\DomainFigure;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Store\LocalCopy;
use GreaterReach\Core\Intake\ImportKind;

/** What is to be imported, and how. */
final readonly class ImportOptions
{
    /** @param array<string, string> $mapping field → header, as far as a person said so */
    public function __construct(
        public Study $study,
        public ImportKind $kind,
        public string $path,
        public string $fileName,
        /** Day of rows that have no date of their own, YYYY-MM-DD. */
        public string $day,
        /** Domain of rows that have none of their own. */
        public ?Domain $domain = null,
        /** Channel of rows that have none of their own. */
        public string $channel = Snapshot::ORGANIC,
        public array $mapping = [],
        public int $allowedErrors = 0,
        /** Do everything but keep nothing. */
        public bool $isDryRun = false,
        public ?int $userId = null,
        /** Whether a person's list or a connected source says it: `lists` or `pulls`. */
        public string $origin = DomainFigure::LISTS,
        /** Line of the row that holds the column names. */
        public int $headerLine = 1,
        /** What the path leads to, kept as long as the order is. */
        public ?LocalCopy $held = null,
    ) {
    }
}
