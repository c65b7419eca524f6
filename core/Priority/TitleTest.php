<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Results\PageOne;
use GreaterReach\Core\Results\RoundedFigure;

/** What a better title could bring one keyword: clicks at the same position, no positions. */
final readonly class TitleTest
{
    /** Impressions that the curve weighs beside what was measured. */
    private const PRIOR = 200;

    public function __construct(
        /** Visits a month if the gap to the curve closes. */
        public float $gain,
        /** Visits a month. */
        public float $expectedGain,
        /** Whether enough was measured, and so few clicks that a test is called for. */
        public bool $isCalledFor,
    ) {
    }

    /**
     * @param float $rate    the curve's at our position, less what features of the results page take
     * @param float $success share of title tests that close the gap
     * @param float $ratio   share of the curve below which a test is called for
     *
     * @return ?self null off page one, where nothing was measured, or where the volume is unknown
     */
    public static function of(?int $position, ?int $volume, ?MeasuredClicks $measured, float $rate, float $success, float $ratio): ?self
    {
        if ($position === null || ! PageOne::holds($position) || $volume === null || $measured === null || $measured->impressions === 0) {
            return null;
        }
        $shrunk = ($measured->clicks + self::PRIOR * $rate) / ($measured->impressions + self::PRIOR);
        $gain = $volume * max(0.0, $rate - $shrunk);
        $rated = $measured->rate();

        return new self($gain, $gain * $success, $rated !== null && RoundedFigure::of($rated) < RoundedFigure::of($ratio * $rate));
    }

    /**
     * Whether a day of testing titles is worth more than a day of other work.
     *
     * @param ?float $otherGain expected of the other work, visits a month; unknown counts as 0
     */
    public static function isWorthMore(float $gain, float $days, ?float $otherGain, float $otherDays): bool
    {
        return RoundedFigure::of(self::perDay($gain, $days)) > RoundedFigure::of(self::perDay($otherGain ?? 0.0, $otherDays));
    }

    private static function perDay(float $gain, float $days): float
    {
        return $days > 0.0 ? $gain / $days : ($gain > 0.0 ? INF : 0.0);
    }
}
