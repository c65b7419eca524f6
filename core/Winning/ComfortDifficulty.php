<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Statistics\Quantile;

/**
 * The difficulty that our domain has shown it can handle: the mean difficulty of the keywords where we already are on
 * the first page with enough volume, brands left out. With fewer than ten such keywords it is assumed.
 */
final readonly class ComfortDifficulty
{
    public const FIRST_PAGE = 10;
    public const ASSUMED = 30.0;
    public const FEWEST_KEYWORDS = 10;

    private function __construct(
        /** 0…100. */
        public float $value,
        public int $keywords,
        public bool $isAssumed,
        public ?float $p50,
        public ?float $p75,
        public ?float $p90,
    ) {
    }

    /** @param list<float> $difficulties of our first-page keywords that count, in any order */
    public static function fromDifficulties(array $difficulties): self
    {
        $count = \count($difficulties);
        sort($difficulties);
        [$p50, $p75, $p90] = $count === 0 ? [null, null, null] : array_map(
            static fn(float $share): float => Quantile::ofSorted($difficulties, $share),
            [.5, .75, .9],
        );
        if ($count < self::FEWEST_KEYWORDS) {
            return new self(self::ASSUMED, $count, true, $p50, $p75, $p90);
        }

        return new self(array_sum($difficulties) / $count, $count, false, $p50, $p75, $p90);
    }

    /** A comfort difficulty that was found before, as its comparison keeps it. */
    public static function known(float $value, int $keywords, bool $isAssumed): self
    {
        return new self($value, $keywords, $isAssumed, null, null, null);
    }

    /** Whether a keyword without any brand is one of those that the comfort difficulty is read from. */
    public static function counts(?int $ownPosition, ?int $volume, int $minimumVolume): bool
    {
        return $ownPosition !== null && $ownPosition <= self::FIRST_PAGE && $volume !== null && $volume >= $minimumVolume;
    }
}
