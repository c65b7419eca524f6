<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/**
 * Our own clicks on a keyword before the month in which its work was done, and since: the nearest figure before it and the newest from it
 * on.
 */
final readonly class ClicksAround
{
    /**
     * @param ?int $before clicks a month; null where nothing was measured
     * @param ?int $since  the same
     */
    private function __construct(public ?int $before, public ?int $since)
    {
    }

    /** @param list<array{day: string, clicks: int}> $measured one a month, day as YYYY-MM-DD, the earliest first */
    public static function of(array $measured, Month $done): self
    {
        $before = $since = null;
        foreach ($measured as $month) {
            if ($done->until(Month::parse(substr($month['day'], 0, 7))) < 0) {
                $before = $month['clicks'];
            } else {
                $since = $month['clicks'];
            }
        }

        return new self($before, $since);
    }
}
