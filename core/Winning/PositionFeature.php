<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** What the position model looks at, in the order in which it names them. */
enum PositionFeature: string
{
    case Difficulty = 'difficulty';
    case Authority = 'authority';
    case Ground = 'ground';
    case Volume = 'volume';

    /**
     * What it is of a domain for a keyword, on the scale of its slope.
     *
     * @param float  $difficulty 0 to 100
     * @param ?float $authority  0 to 100; null where it is not known of all domains, and then it is not looked at
     * @param int    $hundredths ground, 1 to 99
     * @param int    $halves     volume, as volumeHalves() gives it
     */
    public function of(float $difficulty, ?float $authority, int $hundredths, int $halves): float
    {
        return match ($this) {
            self::Difficulty => $difficulty,
            self::Authority => $authority ?? 0.0,
            self::Ground => Ground::logOdds($hundredths),
            self::Volume => $halves / 2,
        };
    }

    /** ln(1 + volume) in halves, rounded half up; an unknown volume as 0. */
    public static function volumeHalves(?int $volume): int
    {
        return (int) floor(2 * log(1 + ($volume ?? 0)) + .5);
    }

    /** The sign that a slope must not have: harder and more wanted keywords are held worse, stronger domains and more ground better. */
    public function isAgainstItsMeaning(float $slope): bool
    {
        return match ($this) {
            self::Difficulty, self::Volume => $slope > 0,
            self::Authority, self::Ground => $slope < 0,
        };
    }

    /** What a slope against its meaning would say, in words. */
    public function oddity(): string
    {
        return match ($this) {
            self::Difficulty => 'harder keywords have better positions',
            self::Authority => 'domains with less authority have better positions',
            self::Ground => 'domains with less ground have better positions',
            self::Volume => 'keywords with more volume have better positions',
        };
    }

    /** By how much a step makes it more, on the scale of its slope. */
    public function step(): float
    {
        return match ($this) {
            self::Difficulty, self::Authority => 10.0,
            self::Ground => Ground::logOdds(50) - Ground::logOdds(20),
            self::Volume => log(10.0),
        };
    }

    public function stepInWords(): string
    {
        return match ($this) {
            self::Difficulty => '10 points more difficulty',
            self::Authority => '10 points more authority',
            self::Ground => 'ground of 50% instead of 20%',
            self::Volume => 'ten times the volume',
        };
    }
}
