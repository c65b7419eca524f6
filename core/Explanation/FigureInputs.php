<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

use GreaterReach\Core\Clicks\ConversionRate;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Priority\HorizonRule;
use GreaterReach\Core\Priority\MeasuredClicks;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Priority\Work;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\Outlook;
use GreaterReach\Core\Winning\PageKind;
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
        public Effects $effects,
        public PageKind $kind,
        /** Share of existing pages that move at all when they are worked on. */
        public float $movingShare,
        /** Ours. */
        public Ground $ground,
        /** @var list<string> stems that relate other topics to this one */
        public array $stems,
        /** What to do with the keyword by itself. */
        public Work $work,
        public ?MeasuredClicks $measured,
        public float $titleSuccess,
        /** Of the clicks that the features of the results page leave, 0…1. */
        public float $clicksLeft,
        public LinksNeeded $links,
        public ?float $pageOneMedian,
        public int $ownPageLinks,
        public HorizonRule $horizons,
        public Scores $scores,
        public Weights $weights,
        public ?float $cpc,
        public string $cpcSource,
        public ConversionRate $conversion,
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
        return $this->outlook()->of(
            $this->kind,
            $this->position,
            $this->clicks($target)->target,
            $this->difficulty,
            $this->ground,
            $this->volume,
            $this->volume === null ? null : $this->volume * $this->clicksLeft,
        );
    }

    public function outlook(): Outlook
    {
        return new Outlook($this->positions, $this->curve, $this->effects, $this->movingShare);
    }

    public function isTitleTest(): bool
    {
        return $this->work->tactic->tactic === Tactic::TestTitle;
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
