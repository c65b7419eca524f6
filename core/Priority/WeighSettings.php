<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Meaning\FitRules;
use GreaterReach\Core\Meaning\IntentRules;

/** What a rulebook says about weighing one keyword. */
final readonly class WeighSettings
{
    public function __construct(
        /** Position aimed at where none is set for the keyword. */
        public int $target,
        public StrikingDistance $striking,
        /** Head starts at positions 11–20 and 21–50, 0…1. */
        public float $headStart11To20,
        public float $headStart21To50,
        /** Win chance from which the horizon is short term. */
        public float $shortTermChance,
        /** Share of the curve below which a measured CTR asks for a title test. */
        public float $titleRatio,
        public IntentRules $intents,
        public FitRules $fits,
        public Bands $volumeBands,
        public Bands $easeBands,
        public Bands $gainBands,
        public Bands $valueBands,
    ) {
    }
}
