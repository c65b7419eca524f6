<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Results\RoundedFigure;
use GreaterReach\Core\Statistics\Quantile;

/** Five bounds that turn a figure into a score of 0–5. */
final readonly class Bands
{
    public const COUNT = 5;

    /** The largest difficulty. */
    private const MOST = 100.0;
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
            throw InvalidValue::because('bands', implode(',', $bounds), 'isn’t five numbers in rising order');
        }

        return new self($bounds);
    }

    /**
     * Bounds for a figure between 0 and 100 where less is better.
     *
     * @param list<float> $bounds
     *
     * @throws InvalidValue when there are not five, one is not above the one before, or the last is not below 100
     */
    public static function ofEase(array $bounds): self
    {
        $bands = self::of($bounds);
        foreach ($bounds as $place => $bound) {
            if ($bound >= self::MOST || ($place > 0 && $bound <= $bounds[$place - 1])) {
                throw InvalidValue::because('bands', implode(',', $bounds), 'isn’t five numbers, each above the one before, below 100');
            }
        }

        return $bands;
    }

    /** @param list<float> $values the study's own, not empty; bounds at the 10th, 30th, 50th, 70th and 90th percentile */
    public static function fromStudy(array $values): self
    {
        sort($values);

        return new self(array_map(static fn(float $share): float => Quantile::ofSorted($values, $share), self::STUDY_SHARES));
    }

    /** For figures where more is better: stepped, one point per bound reached; smooth, between them with the logarithm. */
    public function rising(?float $value, ScoreStyle $style): ?float
    {
        if ($value === null) {
            return null;
        }
        $reached = 0;
        $compared = RoundedFigure::of($value);
        while ($reached < self::COUNT && $compared >= $this->bounds[$reached]) {
            ++$reached;
        }
        if ($style === ScoreStyle::Stepped || $reached === self::COUNT) {
            return (float) $reached;
        }
        $next = $this->bounds[$reached];
        $from = $reached === 0 ? 0.0 : $this->bounds[$reached - 1];

        return $reached + ($from > 0.0 ? max(0.0, log($value / $from)) / log($next / $from) : $value / $next);
    }

    /**
     * For figures where less is better: five up to the first bound; stepped, one less per bound passed; smooth, on straight lines from
     * bound to bound, and to 0 at the most there can be.
     */
    public function falling(?float $value, ScoreStyle $style): ?float
    {
        if ($value === null) {
            return null;
        }
        $passed = 0;
        $compared = RoundedFigure::of($value);
        while ($passed < self::COUNT && $compared > $this->bounds[$passed]) {
            ++$passed;
        }
        if ($style === ScoreStyle::Stepped || $passed === 0) {
            return (float) (self::COUNT - $passed);
        }
        $from = $this->bounds[$passed - 1];
        $to = $this->bounds[$passed] ?? self::MOST;

        return self::COUNT - ($passed - 1) - max(0.0, $value - $from) / ($to - $from);
    }

    /** @return list<float> */
    public function bounds(): array
    {
        return $this->bounds;
    }
}
