<?php

declare(strict_types=1);

namespace App\Actions\Watch;

use App\Actions\Backup\DatabaseProbe;
use App\Models\TaskKind;
use App\Support\QueueLengths;

/**
 * How the parts are that everything rests on.
 *
 * @phpstan-type LaneHealth array{waiting: int, oldest_seconds: int}
 * @phpstan-type Health array{status: string, database: string, lanes: array<string, LaneHealth>, disk_free_bytes: ?int}
 */
final class HealthQuery
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
        if (! self::isWhole()) {
            return ['status' => self::ILL, 'database' => self::ILL, 'lanes' => [], 'disk_free_bytes' => $room];
        }
        try {
            $lanes = self::lanes();
        } catch (\Throwable) {
            return ['status' => self::ILL, 'database' => self::WELL, 'lanes' => [], 'disk_free_bytes' => $room];
        }
        $isWell = max(array_column($lanes, 'oldest_seconds')) <= self::LONGEST_WAIT && ($room === null || $room >= self::LEAST_ROOM);

        return [
            'status' => $isWell ? self::WELL : self::ILL,
            'database' => self::WELL,
            'lanes' => $lanes,
            'disk_free_bytes' => $room,
        ];
    }

    /** Whether the database answers and holds every table: a restore that was killed, or never finished, leaves some out. */
    private static function isWhole(): bool
    {
        $done = DatabaseProbe::ask('SELECT migration FROM public.migrations');
        $known = array_map(static fn(string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []);

        return $done !== null && array_diff($known, $done) === [];
    }

    /** @return non-empty-array<string, LaneHealth> lane of the queue → what waits in it */
    private static function lanes(): array
    {
        $lanes = [];
        foreach ([TaskKind::LONG, TaskKind::SHORT] as $lane) {
            $lanes[$lane] = ['waiting' => QueueLengths::waiting($lane), 'oldest_seconds' => QueueLengths::oldestSeconds($lane)];
        }

        return $lanes;
    }
}
