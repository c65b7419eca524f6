<?php

declare(strict_types=1);

namespace App\Actions\Watch;

use App\Models\TaskKind;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/**
 * How the parts are that everything rests on.
 *
 * @phpstan-type LaneHealth array{waiting: int, oldest_seconds: int}
 * @phpstan-type Health array{status: string, database: string, lanes: array<string, LaneHealth>, disk_free_bytes: ?int}
 */
final class ReadHealth
{
    public const WELL = 'ok';
    public const ILL = 'not ok';

    /** A job that waits longer has no worker, or one that hangs. */
    private const LONGEST_WAIT = 900;

    /** Bytes below which the next file may find no room. */
    private const LEAST_ROOM = 512 * 1024 * 1024;

    /** @return Health */
    public function execute(): array
    {
        $free = @disk_free_space(storage_path());
        $room = $free === false ? null : (int) $free;
        try {
            $lanes = self::lanes();
        } catch (QueryException|\PDOException) {
            return ['status' => self::ILL, 'database' => self::ILL, 'lanes' => [], 'disk_free_bytes' => $room];
        }
        $isWell = max(array_column($lanes, 'oldest_seconds')) <= self::LONGEST_WAIT && ($room === null || $room >= self::LEAST_ROOM);

        return [
            'status' => $isWell ? self::WELL : self::ILL,
            'database' => self::WELL,
            'lanes' => $lanes,
            'disk_free_bytes' => $room,
        ];
    }

    /** @return non-empty-array<string, LaneHealth> lane of the queue → what waits in it */
    private static function lanes(): array
    {
        $lanes = array_fill_keys([TaskKind::LONG, TaskKind::SHORT], ['waiting' => 0, 'oldest_seconds' => 0]);
        /** @var list<object{queue: string, waiting: int, since: int}> $found */
        $found = DB::select(
            'SELECT queue, count(*) AS waiting, min(available_at) AS since FROM jobs WHERE reserved_at IS NULL AND available_at <= ? '
                .'GROUP BY queue',
            [time()],
        );
        foreach ($found as $lane) {
            $lanes[$lane->queue] = ['waiting' => $lane->waiting, 'oldest_seconds' => max(0, time() - $lane->since)];
        }

        return $lanes;
    }
}
