<?php

declare(strict_types=1);

namespace StandIn;

/** Which month of the made-up market a day lies in. It moves on with the real calendar, so that there is always a newest month. */
final class Calendar
{
    /** Month 0 is December 2025, counted in months from the year 0. */
    private const FIRST = 12 * 2025 + 11;

    /** Months that stay fetchable. */
    private const KEPT = 18;

    /** @return int 0 or more */
    public static function month(string $day): int
    {
        return max(0, 12 * (int) substr($day, 0, 4) + (int) substr($day, 5, 2) - 1 - self::FIRST);
    }

    public static function day(int $month): string
    {
        $number = self::FIRST + $month;

        return sprintf('%04d-%02d-01', intdiv($number, 12), 1 + $number % 12);
    }

    /** @return int of a month of the market, 0 for January */
    public static function inYear(int $month): int
    {
        return (self::FIRST + $month) % 12;
    }

    /** @return list<string> days that have a snapshot, the newest first */
    public static function days(string $today): array
    {
        $last = self::month($today);

        return array_map(self::day(...), range($last, max(0, $last - self::KEPT + 1)));
    }
}
