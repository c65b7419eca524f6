<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticLabel;

/** Days of work and months of ramp by tactic. */
final readonly class Effort
{
    /**
     * @param array<string, float> $days  tactic → days
     * @param array<string, int>   $ramps tactic → months until it pays in full
     */
    private function __construct(private array $days, private float $perLink, private array $ramps)
    {
    }

    /**
     * @param array<string, float> $days    tactic → days, of every tactic
     * @param float                $perLink days for each link to earn
     * @param array<string, int>   $ramps   tactic → months, of every tactic
     */
    public static function of(array $days, float $perLink, array $ramps): self
    {
        foreach (Tactic::cases() as $tactic) {
            if (! isset($days[$tactic->value], $ramps[$tactic->value])) {
                throw Misuse::because("No effort is set for the tactic {$tactic->value}.");
            }
        }

        return new self($days, $perLink, $ramps);
    }

    /** Days: the tactic's and, where links stand beside it, some for each link to earn. */
    public function days(TacticLabel $tactic, ?int $linksToEarn): float
    {
        return $this->days[$tactic->tactic->value] + ($tactic->withLinks ? ($linksToEarn ?? 0) * $this->perLink : 0.0);
    }

    /** Months until an item of this tactic pays in full. */
    public function ramp(Tactic $tactic): int
    {
        return $this->ramps[$tactic->value];
    }
}
