<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Support\Database\AdvisoryLock;

/** So nobody works on a task twice, and a worker that was killed is noticed at once: the task says running, but nobody holds the lock. */
final class TaskLock
{
    private const AREA = 7101;

    public static function take(int $task): bool
    {
        return (new AdvisoryLock(self::AREA, $task))->take();
    }

    public static function release(int $task): void
    {
        (new AdvisoryLock(self::AREA, $task))->release();
    }

    public static function isHeld(int $task): bool
    {
        return (new AdvisoryLock(self::AREA, $task))->isHeld();
    }
}
