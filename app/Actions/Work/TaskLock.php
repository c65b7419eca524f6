<?php

declare(strict_types=1);

namespace App\Actions\Work;

use Illuminate\Support\Facades\DB;

/**
 * Who works on a task holds its lock for as long as his connection lives. So nobody works on it twice, and a worker that
 * was killed is noticed at once: the task says running, but nobody holds the lock.
 */
final class TaskLock
{
    private const AREA = 7101;

    public static function take(int $task): bool
    {
        return DB::connection('progress')->scalar('SELECT pg_try_advisory_lock(?, ?)', [self::AREA, $task]) === true;
    }

    public static function release(int $task): void
    {
        DB::connection('progress')->selectOne('SELECT pg_advisory_unlock(?, ?)', [self::AREA, $task]);
    }

    public static function isHeld(int $task): bool
    {
        return DB::scalar(
            "SELECT EXISTS (SELECT FROM pg_locks WHERE locktype = 'advisory' AND database = (SELECT oid FROM pg_database WHERE "
                ."datname = current_database()) AND classid = ? AND objid = ?)",
            [self::AREA, $task],
        ) === true;
    }
}
