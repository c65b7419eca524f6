<?php

declare(strict_types=1);

namespace App\Actions\Tasks;

use App\Jobs\RunTask;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskStatus;
use App\Support\QueueLengths;

/** Requeues tasks that a killed worker left and tasks missing from the queue. */
final readonly class RequeueTasks
{
    /** Seconds after which a task that waits is looked for in the queue. */
    private const PATIENCE = 30;

    public function __construct(private TasksQuery $read)
    {
    }

    /** @return int how many were taken up */
    public function execute(): int
    {
        /** @var list<Task> $running */
        $running = Task::query()->where('status', TaskStatus::Running)->orderBy('id')->get()->all();
        $left = array_filter($running, fn(Task $task): bool => $this->read->looked($task)->status !== TaskStatus::Running);

        return \count($left) + array_sum(array_map($this->lost(...), [TaskKind::LONG, TaskKind::SHORT]));
    }

    /** Only where nothing waits in the lane: a job that is there comes to its turn. A task that is started twice is done once. */
    private function lost(string $lane): int
    {
        if (QueueLengths::waiting($lane) > 0) {
            return 0;
        }
        $kinds = array_filter(TaskKind::cases(), static fn(TaskKind $kind): bool => $kind->lane() === $lane);
        /** @var list<Task> $waiting */
        $waiting = Task::query()->where('status', TaskStatus::Waiting)->whereIn('kind', $kinds)
            ->where('created_at', '<', now()->subSeconds(self::PATIENCE))->orderBy('id')->get()->all();
        foreach ($waiting as $task) {
            RunTask::dispatch($task->id)->onQueue($lane);
        }

        return \count($waiting);
    }
}
