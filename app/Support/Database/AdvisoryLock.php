<?php

declare(strict_types=1);

namespace App\Support\Database;

use Illuminate\Support\Facades\DB;

/**
 * A lock that the database keeps for anyone who took it, for as long as his connection lives: on whichever machine he is, and gone with him
 * when he is killed. Taken beside whatever transaction is open.
 */
final readonly class AdvisoryLock
{
    private const CONNECTION = 'progress';

    /** @param int $number 32 bits, within an area */
    public function __construct(private int $area, private int $number)
    {
    }

    public function take(): bool
    {
        return DB::connection(self::CONNECTION)->scalar('SELECT pg_try_advisory_lock(?, ?)', [$this->area, $this->number]) === true;
    }

    public function release(): void
    {
        DB::connection(self::CONNECTION)->selectOne('SELECT pg_advisory_unlock(?, ?)', [$this->area, $this->number]);
    }

    public function isHeld(): bool
    {
        return DB::scalar(
            "SELECT EXISTS (SELECT FROM pg_locks WHERE locktype = 'advisory' AND database = (SELECT oid FROM pg_database WHERE "
                ."datname = current_database()) AND classid = ? AND objid = ?)",
            [$this->area, $this->number],
        ) === true;
    }
}
