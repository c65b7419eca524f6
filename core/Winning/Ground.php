<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Exception\Misuse;

/**
 * How much a domain already holds of what the page that leads at a keyword ranks for: of its N other keywords the domain stands within
 * the top 20 for S. The share (S + 1) ÷ (N + 4) is kept in hundredths, 1…99; without a leading page it is .25.
 */
final readonly class Ground
{
    public const WITHOUT_LEADER = 25;

    private function __construct(
        /** S; null where no page leads. */
        public ?int $held,
        /** N; null where no page leads. */
        public ?int $of,
        /** 1…99. */
        public int $hundredths,
    ) {
    }

    public static function none(): self
    {
        return new self(null, null, self::WITHOUT_LEADER);
    }

    /** @param int $held 0…of */
    public static function held(int $held, int $of): self
    {
        Misuse::unless($held >= 0 && $held <= $of, 'Nobody holds more keywords of a page than it has.');

        return new self($held, $of, self::hundredths($held, $of));
    }

    /** As it was kept; null for both where no page leads. */
    public static function kept(?int $held, ?int $of): self
    {
        return $held === null || $of === null ? self::none() : self::held($held, $of);
    }

    public static function hundredths(int $held, int $of): int
    {
        return min(99, max(1, intdiv(200 * ($held + 1) + $of + 4, 2 * ($of + 4))));
    }

    /** 0…1. */
    public function share(): float
    {
        return $this->hundredths / 100;
    }

    /** The logarithm of its odds, as the position model takes it. */
    public static function logOdds(int $hundredths): float
    {
        return log($hundredths / (100 - $hundredths));
    }
}
