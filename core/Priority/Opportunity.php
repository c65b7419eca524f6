<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Winning\Prospect;

/** One weighed keyword: everything that does not depend on the weights. */
final readonly class Opportunity
{
    public function __construct(
        public Candidate $candidate,
        public Potential $clicks,
        public Prospect $prospect,
        public ?int $linksToEarn,
        public Intent $intent,
        /** Null where the difficulty is unknown. */
        public ?Horizon $horizon,
        public Tactic $tactic,
        public bool $withLinks,
        public Scores $scores,
        /** Bit i is set when the keyword is branded with domain i. */
        public int $brands,
        /** Whether it belongs on the list of opportunities at all. */
        public bool $isListed,
    ) {
    }

    /** `improve page`, or `improve page + links`. */
    public function tacticLabel(): TacticLabel
    {
        return TacticLabel::of($this->tactic, $this->withLinks);
    }
}
