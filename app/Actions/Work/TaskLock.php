<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Support\Database\AdvisoryLock;

/** Keeps a task from running twice and reveals a killed worker: the task is running, but its lock is free. */
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
