<?php

declare(strict_types=1);

namespace App\Actions\Tasks;

use App\Actions\Work\TaskLock;
use App\Jobs\RunTask;
use App\Models\Study;
use App\Models\Task;
use App\Models\TaskStatus;

/** The work that goes on in a study and how the latest ended. What a killed worker left lying is taken up again. */
final class TasksQuery
{
    private const SHOWN = 12;
    private const MOST_STARTS = 2;

    /** @return list<Task> the newest first */
    public function execute(Study $study): array
    {
        /** @var list<Task> $tasks */
        $tasks = Task::query()->where('study_id', $study->id)->orderByDesc('id')->limit(self::SHOWN)->get()->all();

        return array_map($this->looked(...), $tasks);
    }

    public function looked(Task $task): Task
    {
        if ($task->status !== TaskStatus::Running || TaskLock::isHeld($task->id) || $task->refresh()->status !== TaskStatus::Running) {
            return $task;
        }
        if ($task->starts >= self::MOST_STARTS) {
            $task->update([
                'status' => TaskStatus::Failed,
                'message' => 'The worker stopped twice, so nothing was saved. Try again when the server is healthy.',
                'finished_at' => now(),
            ]);
        } else {
            $task->update([
                'status' => TaskStatus::Waiting,
                'stage' => 'the worker stopped, so the task starts again',
            ]);
            RunTask::dispatch($task->id)->onQueue($task->kind->lane());
        }

        return $task->refresh();
    }
}
