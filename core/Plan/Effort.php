<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Rulebook\Rulebook;

/** Days of work and months of ramp by tactic, as the rulebook says. */
final readonly class Effort
{
    public function __construct(private Rulebook $rulebook)
    {
    }

    /** Days: the tactic's and some for each link to earn. */
    public function days(Tactic $tactic, ?int $linksToEarn): float
    {
        return $this->rulebook->float('effort_'.$tactic->rulebookSuffix()) + ($linksToEarn ?? 0) * $this->rulebook->float('effort_link');
    }

    /** Months until an item of this tactic pays in full. */
    public function ramp(Tactic $tactic): int
    {
        return $this->rulebook->int('ramp_'.$tactic->rulebookSuffix());
    }
}
