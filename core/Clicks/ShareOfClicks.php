<?php

declare(strict_types=1);

namespace GreaterReach\Core\Clicks;

/** Each domain's part of the clicks that all compared domains together can expect: Σ volume · φ · ctr(position). */
final class ShareOfClicks
{
    /** @var array<int, float> */
    private array $clicks;

    public function __construct(int $domains, private readonly CtrCurve $curve)
    {
        $this->clicks = array_fill(0, $domains, 0.0);
    }

    /**
     * @param array<int, ?int> $positions number of a domain → where it ranks
     * @param float            $left      share of the clicks that features of the results page leave, 0…1
     */
    public function add(?int $volume, array $positions, float $left = 1.0): void
    {
        if ($volume === null) {
            return;
        }
        foreach ($positions as $domain => $position) {
            if ($position !== null) {
                $this->clicks[$domain] += $volume * $left * $this->curve->at($position);
            }
        }
    }

    /** @return list<float> visits a month, one per domain */
    public function visits(): array
    {
        return array_values($this->clicks);
    }

    /** @return list<?float> 0…1, one per domain; null when no one gets a click */
    public function shares(): array
    {
        $all = array_sum($this->clicks);

        return array_map(static fn(float $clicks): ?float => $all > 0.0 ? $clicks / $all : null, array_values($this->clicks));
    }
}
