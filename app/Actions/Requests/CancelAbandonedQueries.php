<?php

declare(strict_types=1);

namespace App\Actions\Requests;

use App\Support\TcpConnections;
use Illuminate\Support\Facades\DB;

/**
 * Stops the database thinking about abandoned queries: PHP notices that no one listens any more only when it has
 * something to say. `LimitQueryTime` leaves the port of the asker with every question that only reads.
 */
final class CancelAbandonedQueries
{
    public const NAME = 'request';

    /** Milliseconds after which it is worth a look. */
    private const SOON = 400;

    /** @return int questions stopped */
    public function execute(TcpConnections $open): int
    {
        /** @var list<object{pid: int, port: int, query_start: string}> $questions */
        $questions = DB::select(
            "SELECT pid, query_start::text AS query_start, substr(application_name, length(?) + 2)::int AS port FROM pg_stat_activity "
                ."WHERE datname = current_database() AND state = 'active' AND application_name ~ ('^' || ? || ' [0-9]{1,5}$') AND "
                    ."query_start < clock_timestamp() - make_interval(secs => ?)",
            [self::NAME, self::NAME, self::SOON / 1000],
        );
        $left = array_filter($questions, static fn(object $question): bool => ! $open->has($question->port));
        foreach ($left as $question) {
            // Its process may be at the next question in the meantime, of someone else.
            DB::select(
                "SELECT pg_cancel_backend(pid) FROM pg_stat_activity WHERE pid = ? AND state = 'active' AND application_name = ? AND "
                    .'query_start = ?',
                [$question->pid, self::NAME.' '.$question->port, $question->query_start],
            );
        }

        return \count($left);
    }
}
