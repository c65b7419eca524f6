<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/** Whether a list is too old to go by: rankings come once a month, so a month and a little. Common practice. */
final class Freshness
{
    public const STALE_AFTER_DAYS = 35;

    /**
     * @param string $day   YYYY-MM-DD
     * @param string $today YYYY-MM-DD
     */
    public static function isStale(string $day, string $today): bool
    {
        return self::number($today) - self::number($day) > self::STALE_AFTER_DAYS;
    }

    /** Days since a fixed one, in the Gregorian calendar with the year beginning in March (Richards, Mapping time, 1998; from memory). */
    private static function number(string $day): int
    {
        [$year, $month, $date] = array_map(intval(...), explode('-', $day));
        $march = intdiv(14 - $month, 12);
        $years = $year - $march;

        return 365 * $years +
            intdiv($years, 4) -
            intdiv($years, 100) +
            intdiv($years, 400) +
            intdiv(153 * ($month + 12 * $march - 3) + 2, 5) +
            $date;
    }
}
