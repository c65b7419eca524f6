<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Snapshot;
use App\Models\Study;

/** Which comparison of a study is wanted. */
final readonly class ComparisonOptions
{
    public function __construct(
        public Study $study,
        public string $channel = Snapshot::ORGANIC,
        public int $within = 100,
        /** YYYY-MM-DD; null takes the newest snapshots. */
        public ?string $asOf = null,
    ) {
    }

    /** The one that the study's screens show. */
    public static function shownBy(Study $study): self
    {
        return new self($study, Snapshot::ORGANIC, $study->rulebook()->int('within'), $study->as_of?->toDateString());
    }

    public function isShown(): bool
    {
        return $this == self::shownBy($this->study);
    }
}
