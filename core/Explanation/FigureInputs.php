<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Priority\HorizonRule;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Winning\Effect;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\Outlook;
use GreaterReach\Core\Winning\PositionModel;
use GreaterReach\Core\Winning\Prospect;

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
        public PositionModel $positions,
        public Effect $effect,
        /** Ours. */
        public Ground $ground,
        /** URL of the page that leads; null where none does. */
        public ?string $leadingPage,
        /** Of the clicks that the features of the results page leave, 0…1. */
        public float $clicksLeft,
        public LinksNeeded $links,
        public ?float $pageOneMedian,
        public int $ownPageLinks,
        public HorizonRule $horizons,
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

    /** @param ?int $target another than the one that is wanted */
    public function clicks(?int $target = null): Potential
    {
        return Potential::of($this->volume, $this->position, $target ?? $this->wantedTarget, $this->curve, $this->clicksLeft);
    }

    /** @param ?int $target another than the one that is wanted */
    public function prospect(?int $target = null): Prospect
    {
        return (new Outlook($this->positions, $this->curve, $this->effect))->of(
            $this->position,
            $this->clicks($target)->target,
            $this->difficulty,
            $this->ground,
            $this->volume === null ? null : $this->volume * $this->clicksLeft,
        );
    }

    public function volumeInput(): Input
    {
        return new Input('volume', $this->volume, 'searches a month', $this->volumeSource);
    }

    public function difficultyInput(): Input
    {
        return new Input('difficulty', $this->difficulty, '0–100', $this->difficultySource);
    }
}
