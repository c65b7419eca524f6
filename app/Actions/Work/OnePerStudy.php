<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskStatus;

/** Long work of one study is done one after the other, however many workers there are. */
final class OnePerStudy
{
    /** Whether a worker is at long work of the same study already. */
    public static function isTaken(Task $task): bool
    {
        if (! $task->kind->isLong()) {
            return false;
        }
        /** @var list<int> $others */
        $others = Task::query()
            ->where('study_id', $task->study_id)
            ->where('id', '<>', $task->id)
            ->where('status', TaskStatus::Running)
            ->whereIn('kind', array_filter(TaskKind::cases(), static fn(TaskKind $kind): bool => $kind->isLong()))
            ->pluck('id')
            ->all();

        return array_filter($others, TaskLock::isHeld(...)) !== [];
    }
}
