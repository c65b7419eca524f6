<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Meaning\Intent;

/** One weighed keyword: everything that does not depend on the weights. */
final readonly class Opportunity
{
    public function __construct(
        public Candidate $candidate,
        public Potential $clicks,
        /** What to do with it by itself. */
        public Work $work,
        /** The same, title tests aside: what it brings to its topic. */
        public Work $pageWork,
        /** What a better title could bring; null where nothing can be said. */
        public ?TitleTest $title,
        /** Reach at our own position, which a title test aims at. */
        public ?float $reachNow,
        public ?int $linksToEarn,
        public Intent $intent,
        /** Null where the difficulty is unknown. */
        public ?Horizon $horizon,
        /** Expected visits a month per day of work on it by itself. */
        public ?float $worth,
        public Scores $scores,
        /** Bit i is set when the keyword is branded with domain i. */
        public int $brands,
        /** Whether it belongs on the list of opportunities at all. */
        public bool $isListed,
    ) {
    }
}
