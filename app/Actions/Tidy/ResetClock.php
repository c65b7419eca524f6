<?php

declare(strict_types=1);

namespace App\Actions\Tidy;

use Illuminate\Support\Facades\DB;

/**
 * After the clock of the machine was set back, what was to hold for seconds would hold until the old hour comes again: work would wait,
 * a lock stay shut, a person be kept out. Whatever is put off for longer than anything of ours ever is, is put off no longer.
 */
final class ResetClock
{
    /** Longest that work is put off, and that a limit of requests counts; in seconds. */
    private const SHORT = 120;

    /** Longest that a lock holds. */
    private const HOUR = 3600;

    /** Seconds of one code of a second factor (RFC 6238), and steps that it may be ahead. */
    private const STEP = 30;
    private const AHEAD = 2;

    /** @return int how much was mended */
    public function execute(): int
    {
        $now = now()->getTimestamp();

        return DB::update('UPDATE jobs SET available_at = ? WHERE available_at > ?', [$now, $now + self::SHORT])
            + DB::update('UPDATE jobs SET reserved_at = ? WHERE reserved_at > ?', [$now, $now + self::SHORT])
            + DB::update('UPDATE tasks SET created_at = now() WHERE finished_at IS NULL AND created_at > to_timestamp(?)', [
                $now + self::SHORT,
            ])
            + DB::delete('DELETE FROM cache_locks WHERE expiration > ?', [$now + self::HOUR + self::SHORT])
            + $this->limits($now)
            + DB::update('UPDATE users SET totp_step = 0 WHERE totp_step > ?', [intdiv($now, self::STEP) + self::AHEAD]);
    }

    /** A limit of requests is a count and, under the same name with `:timer`, the moment until which it is kept. */
    private function limits(int $now): int
    {
        return DB::delete(
            "DELETE FROM cache WHERE key IN (SELECT unnest(ARRAY[key, regexp_replace(key, ':timer$', '')]) FROM cache "
                ."WHERE key LIKE '%:timer' AND expiration > ?)",
            [$now + self::SHORT],
        );
    }
}
