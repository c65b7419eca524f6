<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Results\PageOne;
use GreaterReach\Core\Statistics\Quantile;

/**
 * The difficulty that our domain has shown it can handle: the mean difficulty of the keywords where we already are on
 * the first page with enough volume, brands left out. With fewer than ten such keywords it is assumed.
 *
 * @phpstan-type KeptComfort array{value: float, keywords: int, isAssumed: bool, p50: ?float, p75: ?float, p90: ?float}
 */
final readonly class ComfortDifficulty
{
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

    /** @return KeptComfort */
    public function toArray(): array
    {
        return [
            'value' => $this->value,
            'keywords' => $this->keywords,
            'isAssumed' => $this->isAssumed,
            'p50' => $this->p50,
            'p75' => $this->p75,
            'p90' => $this->p90,
        ];
    }

    /** @param KeptComfort $kept */
    public static function fromArray(array $kept): self
    {
        $share = static fn(int|float|null $value): ?float => $value === null ? null : (float) $value;

        return new self(
            (float) $kept['value'],
            $kept['keywords'],
            $kept['isAssumed'],
            $share($kept['p50']),
            $share($kept['p75']),
            $share($kept['p90']),
        );
    }

    /** Whether a keyword without any brand is one of those that the comfort difficulty is read from. */
    public static function counts(?int $ownPosition, ?int $volume, int $minimumVolume): bool
    {
        return PageOne::holds($ownPosition) && $volume !== null && $volume >= $minimumVolume;
    }
}
