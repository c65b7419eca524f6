<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/** Whether a list is too old to go by: rankings come once a month, so a month and a little. Common practice. */
final class Freshness
{
    public const STALE_AFTER_DAYS = 35;

    /** @param \DateTimeImmutable $today any time of the day */
    public static function isStale(\DateTimeImmutable $day, \DateTimeImmutable $today): bool
    {
        return $day->format('Y-m-d') < $today->modify('-'.self::STALE_AFTER_DAYS.' days')->format('Y-m-d');
    }
}
