<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Meaning\FitRules;
use GreaterReach\Core\Meaning\IntentRules;

/** What a rulebook says about weighing one keyword. */
final readonly class WeighSettings
{
    public function __construct(
        /** Position aimed at where none is set for the keyword. */
        public int $target,
        /** From this position on the target is 1. */
        public int $targetNear,
        /** Share of existing pages that move at all when they are worked on. */
        public float $movingShare,
        /** Share of title tests that close the gap. */
        public float $titleSuccess,
        public Effort $effort,
        public StrikingDistance $striking,
        /** Smallest gain of a quick win, visits a month. */
        public float $quickWinGain,
        /** Reach of a page from which the horizon is short term. */
        public float $shortTermChance,
        /** Share of the curve below which a measured CTR suggests a title test. */
        public float $titleRatio,
        public IntentRules $intents,
        public FitRules $fits,
        public ScoreStyle $style,
        public FeatureClicks $featureClicks,
        public Bands $expectedBands,
        public Bands $volumeBands,
        public Bands $easeBands,
        public Bands $gainBands,
        public Bands $worthBands,
        public Bands $valueBands,
    ) {
    }
}
