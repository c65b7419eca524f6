<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Study;
use App\Models\Task;
use Illuminate\Http\JsonResponse;

/** A piece of long work as the outside sees it. */
final class TaskResource
{
    private const ACCEPTED = 202;

    public static function accepted(Task $task): JsonResponse
    {
        $slug = Study::query()->findOrFail($task->study_id)->slug;

        return new JsonResponse(self::of($task), self::ACCEPTED, [
            'Location' => "/api/v1/studies/{$slug}/tasks/{$task->id}",
        ]);
    }

    /** @return array<string, mixed> */
    public static function of(Task $task): array
    {
        return [
            'id' => $task->id,
            'kind' => $task->kind->value,
            'status' => $task->status->value,
            'title' => $task->title,
            'stage' => $task->stage,
            'done' => $task->done,
            'total' => $task->total,
            'remaining_seconds' => self::remaining($task),
            'message' => $task->message,
            'result' => self::result($task),
            'cancel_wanted' => $task->cancel_wanted,
            'at' => $task->created_at->toIso8601ZuluString(),
            'finished_at' => $task->finished_at?->toIso8601ZuluString(),
        ];
    }

    /** As it was kept: an object that holds nothing stays one. */
    private static function result(Task $task): mixed
    {
        $kept = $task->getAttributes()['result'] ?? null;

        return \is_string($kept) ? json_decode($kept, false, 512, JSON_THROW_ON_ERROR) : null;
    }

    /** At the speed so far; null while nothing can be said. */
    private static function remaining(Task $task): ?int
    {
        if ($task->status->isOver() || $task->started_at === null || $task->total === null || $task->done === 0) {
            return null;
        }
        $seconds = (int) $task->started_at->diffInSeconds(now(), true);

        return (int) ceil($seconds * max(0, $task->total - $task->done) / $task->done);
    }
}
