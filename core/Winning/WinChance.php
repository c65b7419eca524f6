<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Results\PageOne;

/** The chance to win a keyword from where we stand: who is already close has a head start (assumed values). */
final readonly class WinChance
{
    private const PAGE_TWO = 20;
    private const PAGE_FIVE = 50;

    public function __construct(
        private WinModel $model,
        /** Head start at positions 11–20, 0…1. */
        private float $headStart11To20 = .35,
        /** Head start at positions 21–50, 0…1. */
        private float $headStart21To50 = .10,
    ) {
    }

    /** 1 − (1 − p)(1 − h): 1 where we are on page one already, otherwise unknown where the difficulty is. */
    public function of(?int $position, ?float $difficulty): ?float
    {
        $headStart = $this->headStart($position);
        if ($headStart === 1.0) {
            return 1.0;
        }

        return $difficulty === null ? null : 1 - (1 - $this->model->chanceAt($difficulty)) * (1 - $headStart);
    }

    public function headStart(?int $position): float
    {
        return match (true) {
            $position === null || $position > self::PAGE_FIVE => 0.0,
            $position <= PageOne::LAST => 1.0,
            $position <= self::PAGE_TWO => $this->headStart11To20,
            default => $this->headStart21To50,
        };
    }
}
