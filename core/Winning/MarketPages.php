<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Statistics\ProportionalOdds;
use GreaterReach\Core\Statistics\ShiftPosterior;

/** How pages that were really new have done, anybody's: by how much their odds lie above or below those of pages in general. */
final class MarketPages
{
    /** A page is new when it first ranked so many days before the snapshot in use. */
    public const YOUNGEST = 60;
    public const OLDEST = 240;

    private const SMALLEST = 1e-9;

    /** @var array<array-key, list<array{float, int}>> page → score and class of each of its keywords */
    private array $pages = [];

    public function __construct(private readonly PositionFit $fit)
    {
    }

    /**
     * Adds one keyword of a page.
     *
     * @param string $page  tells it from the others
     * @param float  $score of the model, for the page's domain
     * @param ?int   $now   where the page ranks now; null when it is gone
     */
    public function add(string $page, float $score, ?int $now): void
    {
        $this->pages[$page][] = [$score, PlaceClass::of($now)];
    }

    public function count(): int
    {
        return \count($this->pages);
    }

    /** The mean of the posterior, from a normal prior with mean 0 and standard deviation 1. */
    public function shift(): float
    {
        if ($this->pages === []) {
            return 0.0;
        }

        return ShiftPosterior::normal(0.0, 1.0)->observing($this->likelihood(...))->mean();
    }

    /** Keywords of one page are not independent: together they count as the root of their number. */
    private function likelihood(float $shift): float
    {
        $sum = 0.0;
        foreach ($this->pages as $keywords) {
            $ofPage = 0.0;
            foreach ($keywords as [$score, $class]) {
                $ofPage += log(max($this->chanceOf($class, $score + $shift), self::SMALLEST));
            }
            $sum += $ofPage / sqrt(\count($keywords));
        }

        return $sum;
    }

    private function chanceOf(int $class, float $score): float
    {
        $upTo = static fn(?float $alpha, float $otherwise): float => $alpha === null
            ? $otherwise
            : ProportionalOdds::sigmoid($alpha + $score);

        return $upTo($this->fit->alphas[$class] ?? null, 1.0) - $upTo($this->fit->alphas[$class - 1] ?? null, 0.0);
    }
}
