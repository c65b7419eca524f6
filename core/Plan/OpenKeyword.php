<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\TacticLabel;

/** What a topic takes from one of its open keywords, each weighed by itself; null is unknown. */
final readonly class OpenKeyword
{
    public function __construct(
        public string $keyword,
        public ?int $ownPosition,
        public int $target,
        public ?int $volume,
        public ?float $difficulty,
        public ?float $cpc,
        public ?float $visitsNow,
        public ?float $potential,
        public ?float $gain,
        public ?float $winChance,
        public ?float $expectedGain,
        public ?Horizon $horizon,
        public TacticLabel $tactic,
        public ?int $linksToEarn,
        public Intent $intent,
        /** 0…5. */
        public ?float $fit,
    ) {
    }
}
