<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Work\PerformTask;
use App\Models\Task;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueueAfterCommit;
use Illuminate\Foundation\Bus\Dispatchable;

/** Carries out one piece of long work. Safe to run twice: a lock lets one in, and what is over stays over. */
final class RunTask implements ShouldQueueAfterCommit
{
    use Dispatchable;
    use Queueable;

    public int $tries = 2;

    public int $timeout = 1800;

    public function __construct(public readonly int $taskId)
    {
    }

    public function handle(PerformTask $perform): void
    {
        $task = Task::query()->find($this->taskId);
        if ($task !== null && $perform->execute($task)) {
            RefreshComparison::dispatch($task->study_id);
        }
    }
}
