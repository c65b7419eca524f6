<?php

declare(strict_types=1);

namespace App\Actions\Tasks;

use App\Jobs\RunTask;
use App\Models\Study;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskStatus;

/** Puts a piece of long work into the queue. */
final class StartTask
{
    /** @param array<string, mixed> $payload */
    public function execute(Study $study, ?int $user, TaskKind $kind, string $title, array $payload): Task
    {
        $task = Task::query()->create([
            'study_id' => $study->id,
            'user_id' => $user,
            'kind' => $kind,
            'status' => TaskStatus::Waiting,
            'title' => $title,
            'payload' => $payload,
        ]);
        RunTask::dispatch($task->id)->onQueue($kind->lane());

        return $task->refresh();
    }
}
