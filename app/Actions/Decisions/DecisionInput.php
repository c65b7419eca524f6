<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

/**
 * What a person decides about some keywords. Only the columns that are named change.
 *
 * @phpstan-type Columns array{mark?: ?string, reason?: ?string, fit?: ?int, intent?: ?string, stage?: ?string, target?: ?int,
 *     note?: ?string, topic?: ?string, pinned?: ?bool, difficulty?: ?float}
 */
final readonly class DecisionInput
{
    /**
     * @param list<string> $keywords keys
     * @param Columns      $columns
     */
    public function __construct(
        public array $keywords,
        public array $columns,
        public ?string $tagAdded = null,
        public ?string $tagRemoved = null,
    ) {
    }
}
