<?php

declare(strict_types=1);

namespace App\Actions\Studies;

/** A study as a path: the figure that matters at each stage, and whether a person may change it. */
final readonly class StudyPath
{
    public function __construct(
        public bool $mayEdit,
        public int $domains,
        public int $withoutRankings,
        public int $stale,
        public int $shortlisted,
        public int $items,
        public int $overdue,
        public int $done,
        /** The newest change of decisions or plan; 0 before there is one. */
        public int $newestChange,
    ) {
    }
}
