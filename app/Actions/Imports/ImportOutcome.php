<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use GreaterReach\Core\Intake\NumberFormat;

/** What an import kept, dropped and left out. */
final readonly class ImportOutcome implements \JsonSerializable
{
    public function __construct(
        public ?int $importId,
        public int $kept,
        /** Rows with a position over 100 or a URL outside the domain's scope. */
        public int $dropped,
        public BadRows $badRows,
        public NumberFormat $numbers,
        public bool $isAmbiguous,
        /** The very same file had been imported before, byte for byte. */
        public bool $isSameFile,
        /** @var list<string> what was replaced or made, a sentence each */
        public array $notes,
        /** Of a dry run: what would change. */
        public ?ChangeCounts $changes = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'import' => $this->importId,
            'kept' => $this->kept,
            'dropped' => $this->dropped,
            'bad_rows' => $this->badRows,
            'numbers' => $this->numbers->value,
            'numbers_ambiguous' => $this->isAmbiguous,
            'same_file' => $this->isSameFile,
            'notes' => $this->notes,
            'changes' => $this->changes,
        ];
    }
}
