<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\StrikingDistance;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinChance;
use GreaterReach\Core\Winning\WinModel;

/** Everything that the figures of one keyword were computed from. */
final readonly class FigureInputs
{
    public function __construct(
        public ?int $position,
        public ?int $volume,
        public string $volumeSource,
        public ?float $difficulty,
        public string $difficultySource,
        public int $wantedTarget,
        public CtrCurve $curve,
        public string $curveName,
        public ComfortDifficulty $comfort,
        public WinModel $winModel,
        public WinChance $winChance,
        public LinksNeeded $links,
        public ?float $pageOneMedian,
        public int $ownPageLinks,
        public StrikingDistance $striking,
        /** Win chance from which the horizon is short term. */
        public float $shortTermChance,
        public Scores $scores,
        public Weights $weights,
        public Tactic $tactic,
        public ?float $cpc,
        public string $cpcSource,
        /** Share of visits that convert, 0…1. */
        public float $conversionRate,
        public ?float $valuePerConversion,
    ) {
    }

    public function clicks(): Potential
    {
        return Potential::of($this->volume, $this->position, $this->wantedTarget, $this->curve);
    }
}
