<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\Cache;

/** When a person last changed something, for as long as a standby of the database may not have heard of it. */
final class LastChange
{
    public const STANDBY = 'standby';

    /** Longer than a standby that is well is ever behind. */
    private const SECONDS = 5;

    /** Whether there is a standby. */
    public static function matters(): bool
    {
        return config('database.connections.'.self::STANDBY.'.host') !== null;
    }

    public static function note(int $user): void
    {
        if (self::matters()) {
            Cache::put(self::key($user), true, self::SECONDS);
        }
    }

    public static function isFresh(int $user): bool
    {
        return Cache::has(self::key($user));
    }

    private static function key(int $user): string
    {
        return 'changed-by:'.$user;
    }
}
