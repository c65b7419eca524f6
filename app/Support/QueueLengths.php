<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Queue\DatabaseQueue;
use Illuminate\Queue\RedisQueue;
use Illuminate\Support\Facades\Queue;

/** What waits in a lane of the queue, whichever engine keeps it. */
final class QueueLengths
{
    /** @return int jobs that could be begun now */
    public static function waiting(string $lane): int
    {
        $queue = self::queue();

        return $queue === null ? 0 : $queue->pendingSize($lane);
    }

    /** @return int seconds for which the oldest of them has waited; 0 where none does */
    public static function oldestSeconds(string $lane): int
    {
        $since = self::queue()?->creationTimeOfOldestPendingJob($lane);

        return is_numeric($since) ? max(0, time() - (int) $since) : 0;
    }

    /** Null where work is done at once. */
    private static function queue(): DatabaseQueue|RedisQueue|null
    {
        $queue = Queue::connection();

        return $queue instanceof DatabaseQueue || $queue instanceof RedisQueue ? $queue : null;
    }
}
