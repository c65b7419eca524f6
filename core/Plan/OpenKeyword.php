<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\TitleTest;
use GreaterReach\Core\Priority\Work;

/** What a topic takes from one of its open keywords, each weighed by itself; null is unknown. */
final readonly class OpenKeyword
{
    public function __construct(
        public string $keyword,
        public ?int $ownPosition,
        public ?int $volume,
        public ?float $difficulty,
        public ?float $cpc,
        public ?float $visitsNow,
        public ?float $potential,
        /** Title tests aside. */
        public Work $work,
        public ?TitleTest $title,
        /** Reach at our own position. */
        public ?float $reachNow,
        public ?int $linksToEarn,
        public Intent $intent,
        /** 0…5. */
        public ?float $fit,
    ) {
    }

    public static function of(Opportunity $opportunity): self
    {
        $metrics = $opportunity->candidate->metrics;

        return new self(
            $opportunity->candidate->row->keyword,
            $opportunity->candidate->row->ownPosition(),
            $metrics->volume,
            $metrics->difficulty,
            $metrics->cpc,
            $opportunity->clicks->visitsNow,
            $opportunity->clicks->potential,
            $opportunity->pageWork,
            $opportunity->title,
            $opportunity->reachNow,
            $opportunity->linksToEarn,
            $opportunity->intent,
            $opportunity->scores->at(Criterion::Fit),
        );
    }
}
