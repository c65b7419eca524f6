<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Documents\ReviewDocument;
use App\Models\Study;
use App\Models\TaskKind;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueueAfterCommit;
use Illuminate\Foundation\Bus\Dispatchable;

/** Calculates the month in review in advance. Safe to run twice. */
final class PrepareReview implements ShouldBeUniqueUntilProcessing, ShouldQueueAfterCommit
{
    use Dispatchable;
    use Queueable;

    /** Seconds to wait: people make decisions in a row, and a result between two of them is never shown. From memory. */
    private const PAUSE_SECONDS = 2;

    public int $tries = 1;

    public int $timeout = 120;

    public int $uniqueFor = 300;

    public function __construct(public readonly int $studyId)
    {
        $this->onQueue(TaskKind::SHORT);
        $this->delay(self::PAUSE_SECONDS);
    }

    public function uniqueId(): string
    {
        return (string) $this->studyId;
    }

    public function handle(ReviewDocument $review): void
    {
        $study = Study::query()->with(['domains', 'comparison'])->find($this->studyId);
        if ($study?->comparison !== null) {
            $review->prepare($study, $study->comparison);
        }
    }
}
