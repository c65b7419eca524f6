<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** What the position model looks at, in the order in which it names them. */
enum PositionFeature: string
{
    case Difficulty = 'difficulty';
    case Authority = 'authority';
    case Ground = 'ground';

    /**
     * What it is of a domain for a keyword, on the scale of its slope.
     *
     * @param float  $difficulty 0 to 100
     * @param ?float $authority  0 to 100; null where it is not known of all domains, and then it is not looked at
     * @param int    $hundredths 1 to 99, of the keywords of the page that leads: for how many of them the domain ranks
     */
    public function of(float $difficulty, ?float $authority, int $hundredths): float
    {
        return match ($this) {
            self::Difficulty => $difficulty,
            self::Authority => $authority ?? 0.0,
            self::Ground => Ground::logOdds($hundredths),
        };
    }

    /** The sign that a slope must not have: harder keywords are held worse, stronger domains and more ground better. */
    public function isAgainstItsMeaning(float $slope): bool
    {
        return match ($this) {
            self::Difficulty => $slope > 0,
            self::Authority, self::Ground => $slope < 0,
        };
    }

    /** What a slope against its meaning would say, in words. */
    public function oddity(): string
    {
        return match ($this) {
            self::Difficulty => 'harder keywords are held better',
            self::Authority => 'domains of less authority stand better',
            self::Ground => 'who holds less of a page’s keywords stands better',
        };
    }

    /** By how much a step makes it more, on the scale of its slope: ten points, or from a fifth of a page's keywords held to a half. */
    public function step(): float
    {
        return match ($this) {
            self::Difficulty, self::Authority => 10.0,
            self::Ground => Ground::logOdds(50) - Ground::logOdds(20),
        };
    }

    public function stepInWords(): string
    {
        return match ($this) {
            self::Difficulty, self::Authority => 'each 10 points more',
            self::Ground => 'half of a page’s keywords held instead of a fifth',
        };
    }
}
