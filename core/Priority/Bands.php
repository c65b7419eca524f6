<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Statistics\Quantile;

/** Five bounds that turn a figure into a score of 0–5. */
final readonly class Bands
{
    public const COUNT = 5;
    private const STUDY_SHARES = [.1, .3, .5, .7, .9];

    /** @param list<float> $bounds five, never falling */
    private function __construct(private array $bounds)
    {
    }

    /**
     * @param list<float> $bounds
     *
     * @throws InvalidValue when there are not five, or they fall
     */
    public static function of(array $bounds): self
    {
        $sorted = $bounds;
        sort($sorted);
        if (\count($bounds) !== self::COUNT || $sorted !== $bounds) {
            throw InvalidValue::because('bands', implode(',', $bounds), 'must be five numbers in rising order');
        }

        return new self($bounds);
    }

    /** @param list<float> $values the study's own, not empty; bounds at the 10th, 30th, 50th, 70th and 90th percentile */
    public static function fromStudy(array $values): self
    {
        sort($values);

        return new self(array_map(static fn(float $share): float => Quantile::ofSorted($values, $share), self::STUDY_SHARES));
    }

    /** One point per bound reached. */
    public function rising(?float $value): ?int
    {
        if ($value === null) {
            return null;
        }
        $score = 0;
        while ($score < self::COUNT && $value >= $this->bounds[$score]) {
            ++$score;
        }

        return $score;
    }

    /** Five up to the first bound, one less per bound passed: for figures where less is better. */
    public function falling(?float $value): ?int
    {
        if ($value === null) {
            return null;
        }
        $passed = 0;
        while ($passed < self::COUNT && $value > $this->bounds[$passed]) {
            ++$passed;
        }

        return self::COUNT - $passed;
    }

    /** @return list<float> */
    public function bounds(): array
    {
        return $this->bounds;
    }
}
