<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Exception\InvalidArgument;

/** Days of work and months of ramp by tactic. */
final readonly class Effort
{
    /** So many open keywords are part of the tactic's own days, and again of each step beyond them. */
    private const KEYWORDS_PER_STEP = 10;
    private const MOST_FOR_KEYWORDS = 2.0;

    /**
     * @param array<string, float> $days  tactic → days
     * @param array<string, int>   $ramps tactic → months until it pays in full
     */
    private function __construct(private array $days, private float $perTenKeywords, public float $perLink, private array $ramps)
    {
    }

    /**
     * @param array<string, float> $days           tactic → days, of every tactic
     * @param float                $perTenKeywords days for every ten open keywords beyond the first ten
     * @param float                $perLink        days for each link to earn, which is an item of its own
     * @param array<string, int>   $ramps          tactic → months, of every tactic
     */
    public static function of(array $days, float $perTenKeywords, float $perLink, array $ramps): self
    {
        foreach (Tactic::cases() as $tactic) {
            if (! isset($days[$tactic->value], $ramps[$tactic->value])) {
                throw InvalidArgument::because("No effort is set for the tactic {$tactic->value}.");
            }
        }

        return new self($days, $perTenKeywords, $perLink, $ramps);
    }

    /** Days of a page with so many open keywords. A title is tested once, however many keywords it serves. */
    public function days(Tactic $tactic, int $keywords = 1): float
    {
        $steps = $tactic === Tactic::TestTitle ? 0 : intdiv(max(0, $keywords - 1), self::KEYWORDS_PER_STEP);

        return $this->days[$tactic->value] + min(self::MOST_FOR_KEYWORDS, $steps * $this->perTenKeywords);
    }

    /** Days of earning so many links. */
    public function forLinks(int $links): float
    {
        return $links * $this->perLink;
    }

    /** Months until an item of this tactic pays in full. */
    public function ramp(Tactic $tactic): int
    {
        return $this->ramps[$tactic->value];
    }

    /** Visits a month for a day of work; null where either is unknown, or it takes no work at all. */
    public static function worth(?float $expectedGain, float $days): ?float
    {
        return $expectedGain === null || $days <= 0.0 ? null : $expectedGain / $days;
    }
}
