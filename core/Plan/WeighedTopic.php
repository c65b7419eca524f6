<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Work;

/**
 * A topic as the page that serves it, made or to be made: sums over its open keywords, and what its lead says of the rest. Null is
 * unknown.
 */
final readonly class WeighedTopic
{
    public function __construct(
        public string $topic,
        public OpenKeyword $lead,
        /** What to do with the page: tactic and target of the lead, gains of all open keywords. */
        public Work $work,
        /** How many are open. */
        public int $keywords,
        /** The own page that serves it; null where none does. */
        public ?string $ownUrl,
        /** Searches a month. */
        public ?int $volume,
        /** Mean of those that are known, weighted by gain. */
        public ?float $cpc,
        /** Visits a month, as all sums that follow. */
        public ?float $visitsNow,
        public ?float $potential,
        public ?Horizon $horizon,
        public Intent $intent,
        /** Days of work. */
        public float $effortDays,
        /** Expected visits a month for a day of work; unknown too where it takes no work at all. */
        public ?float $worth,
        public Scores $scores,
    ) {
    }
}
