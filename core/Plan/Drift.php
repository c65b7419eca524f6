<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Results\RoundedFigure;
use GreaterReach\Core\Statistics\Quantile;
use GreaterReach\Core\Winning\PlaceClass;

/**
 * What would have come without our work: how the visits of keywords changed whose pages no item touched, and how far single pages swing by
 * themselves.
 */
final class Drift
{
    /** Fewer keywords of a place class say less than all together. */
    private const FEWEST_KEYWORDS = 30;
    private const FEWEST_PAGES = 10;

    /** Visits a month below which a change is not clear where too few pages can be compared. */
    private const USUAL_SWING = 10.0;
    private const SWING_SHARE = .9;

    /** @var array<int, array{int, float, float}> place class → keywords, visits then, visits now */
    private array $classes = [];

    /** @var array<string, array{float, float}> page → visits then, visits now */
    private array $pages = [];

    /**
     * Adds one keyword whose page no item touched.
     *
     * @param string $page where it ranked then
     * @param int    $then our position then
     * @param float  $visitsThen a month
     * @param float  $visitsNow  a month
     */
    public function add(string $page, int $then, float $visitsThen, float $visitsNow): void
    {
        $class = PlaceClass::of($then);
        $kept = $this->classes[$class] ?? [0, 0.0, 0.0];
        $this->classes[$class] = [$kept[0] + 1, $kept[1] + $visitsThen, $kept[2] + $visitsNow];
        $known = $this->pages[$page] ?? [0.0, 0.0];
        $this->pages[$page] = [$known[0] + $visitsThen, $known[1] + $visitsNow];
    }

    /** Visits now ÷ visits then of keywords at a place like the lead's; 1 where nothing can be told. */
    public function ratio(?int $lead): float
    {
        $class = $this->classes[PlaceClass::of($lead)] ?? [0, 0.0, 0.0];
        [$keywords, $then, $now] = $class;
        if ($keywords < self::FEWEST_KEYWORDS) {
            $then = array_sum(array_column($this->classes, 1));
            $now = array_sum(array_column($this->classes, 2));
        }

        return $then > 0.0 ? $now / $then : 1.0;
    }

    /**
     * Whether a page has changed by no more than nine in ten untouched pages of its size do.
     *
     * @param float $net  visits a month beyond the drift
     * @param float $then visits a month when it was planned
     */
    public function isUnclear(float $net, float $then, float $ratio): bool
    {
        $swings = [];
        foreach ($this->pages as [$before, $now]) {
            if ($before >= $then / 2 && $before <= 2 * $then) {
                $swings[] = abs($now - $ratio * $before);
            }
        }
        sort($swings);
        $swing = \count($swings) < self::FEWEST_PAGES ? self::USUAL_SWING : Quantile::ofSorted($swings, self::SWING_SHARE);

        return RoundedFigure::of(abs($net)) <= RoundedFigure::of($swing);
    }
}
