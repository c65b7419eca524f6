<?php

declare(strict_types=1);

namespace GreaterReach\Core\Clicks;

/**
 * What a keyword brings now and could bring, in visits a month. Null means unknown, because the volume is.
 *
 * visits(p) = volume · share · ctr(p), the share being what the features of the results page leave to the results; gain = max(0,
 * visits(target) − visits now); an absent domain has 0 visits now.
 */
final readonly class Potential
{
    private function __construct(
        public int $target,
        public ?float $visitsNow,
        /** Visits at position 1. */
        public ?float $potential,
        public ?float $gain,
        public ?float $gainToFirst,
    ) {
    }

    /**
     * @param int   $wantedTarget the target (1…100), before it is moved above the present position
     * @param float $share        of the clicks that the features of the results page leave, 0…1
     */
    public static function of(?int $volume, ?int $position, int $wantedTarget, CtrCurve $curve, float $share = 1.0): self
    {
        $target = self::target($position, $wantedTarget);
        if ($volume === null) {
            return new self($target, $position === null ? 0.0 : null, null, null, null);
        }
        $searches = $volume * $share;
        $now = $position === null ? 0.0 : $searches * $curve->at($position);
        $first = $searches * $curve->at(1);
        $gain = $searches * $curve->at($target) - $now;

        return new self($target, $now, $first, $gain > 0.0 ? $gain : 0.0, $first - $now);
    }

    /** The target where none is set for the keyword: near the top the aim is the top. */
    public static function usualTarget(?int $position, int $usual, int $near): int
    {
        return $position !== null && $position <= $near ? 1 : $usual;
    }

    /** At the target or better, the target is one position higher, at most first. */
    public static function target(?int $position, int $wanted): int
    {
        return $position !== null && $position <= $wanted ? max(1, $position - 1) : $wanted;
    }

    /** Gain in money a month: gain · CPC. */
    public function gainValue(?float $cpc): ?float
    {
        return $this->gain === null || $cpc === null ? null : $this->gain * $cpc;
    }

    /**
     * Money a month: conversions · value per conversion; null while no value is set.
     *
     * @param float $rate share of visits that convert, 0…1
     */
    public function revenue(float $rate, ?float $valuePerConversion): ?float
    {
        $conversions = $this->conversions($rate);

        return $conversions === null || $valuePerConversion === null ? null : $conversions * $valuePerConversion;
    }

    /** @param float $rate share of visits that convert, 0…1 */
    public function conversions(float $rate): ?float
    {
        return $this->gain === null ? null : $this->gain * $rate;
    }
}
