<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Results\RoundedFigure;
use GreaterReach\Core\Winning\ComfortDifficulty;

/** How soon something can pay. */
final readonly class HorizonRule
{
    public function __construct(public WeighSettings $settings, public ComfortDifficulty $comfort)
    {
    }

    /**
     * @param ?float $gain  visits a month
     * @param ?float $reach whatever the effect of work
     *
     * @return ?Horizon null where the difficulty is unknown
     */
    public function of(?int $position, ?float $difficulty, ?float $gain, ?float $reach): ?Horizon
    {
        return match (true) {
            $difficulty === null => null,
            $this->isQuickWin($position, $difficulty, $gain) => Horizon::QuickWin,
            $reach !== null && RoundedFigure::of($reach) >= $this->settings->shortTermChance => Horizon::ShortTerm,
            default => Horizon::LongTerm,
        };
    }

    /** In striking distance, no harder than what we hold, and worth it. */
    public function isQuickWin(?int $position, ?float $difficulty, ?float $gain): bool
    {
        return $difficulty !== null && $this->settings->striking->holds($position)
            && RoundedFigure::of($difficulty) <= RoundedFigure::of($this->comfort->value)
            && $gain !== null && RoundedFigure::of($gain) >= $this->settings->quickWinGain;
    }
}
