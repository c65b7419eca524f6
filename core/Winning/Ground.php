<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Exception\InvalidArgument;

/**
 * How strong a domain is in what is related to a topic, its own page for the topic left out of sight: of N keywords in related topics it
 * ranks within the top 20 for S. The share (S + 1) ÷ (N + 4) is kept in hundredths, 1…99.
 */
final readonly class Ground
{
    private function __construct(
        /** S. */
        public int $held,
        /** N. */
        public int $of,
        /** 1…99. */
        public int $hundredths,
    ) {
    }

    /** Where nothing is related. */
    public static function none(): self
    {
        return self::held(0, 0);
    }

    /** @param int $held 0…of */
    public static function held(int $held, int $of): self
    {
        InvalidArgument::unless($held >= 0 && $held <= $of, 'No domain ranks for more keywords than there are.');

        return new self($held, $of, self::hundredths($held, $of));
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
