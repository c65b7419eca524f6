<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Work\OnePerStudy;
use App\Actions\Work\PerformTask;
use App\Models\Task;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueueAfterCommit;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Carries out one piece of long work. Safe to run twice: a lock lets one in, and what is over stays over. */
final class RunTask implements ShouldQueueAfterCommit
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    /** As often as it has to wait for its turn. */
    public int $tries = 0;

    public int $maxExceptions = 2;

    public int $timeout = 1800;

    /** Seconds until it asks again whether it is its turn. */
    private const PAUSE = 1;

    public function __construct(public readonly int $taskId)
    {
    }

    public function handle(PerformTask $perform): void
    {
        $task = Task::query()->find($this->taskId);
        // Of one study one at a time, so that its long work never keeps that of another waiting.
        if ($task !== null && OnePerStudy::isTaken($task)) {
            $this->release(self::PAUSE);
        } elseif ($task !== null && $perform->execute($task)) {
            RefreshComparison::dispatch($task->study_id);
        }
    }
}
