<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Results\PageOne;

/**
 * Counts, per domain and difficulty, how many keywords there are and for how many the domain is on page one. The win
 * model needs no more than these counts, so that a million keywords fit into a few thousand groups.
 */
final class WinObservations
{
    /** @var array<array-key, float> difficulty as text → as it came */
    private array $difficulties = [];

    /** @var array<array-key, int> difficulty → keywords */
    private array $trials = [];

    /** @var array<int, array<array-key, int>> domain → difficulty → keywords on page one */
    private array $successes = [];

    /** @param list<int> $domains numbers of the compared domains that have a snapshot */
    public function __construct(private readonly array $domains)
    {
    }

    /** @param list<?int> $positions of every domain, absent as null */
    public function add(?float $difficulty, array $positions): void
    {
        if ($difficulty === null) {
            return;
        }
        $key = (string) $difficulty;
        $this->difficulties[$key] ??= $difficulty;
        $this->trials[$key] = ($this->trials[$key] ?? 0) + 1;
        foreach ($this->domains as $domain) {
            if ($positions[$domain] !== null && $positions[$domain] <= PageOne::LAST) {
                $this->successes[$domain][$key] = ($this->successes[$domain][$key] ?? 0) + 1;
            }
        }
    }

    /** @return list<array{domain: int, difficulty: float, trials: int, successes: int}> in one order whatever order they came in */
    public function groups(): array
    {
        $groups = [];
        foreach ($this->domains as $domain) {
            foreach ($this->trials as $difficulty => $trials) {
                $groups[$domain.'|'.$difficulty] = [
                    'domain' => $domain,
                    'difficulty' => $this->difficulties[$difficulty],
                    'trials' => $trials,
                    'successes' => $this->successes[$domain][$difficulty] ?? 0,
                ];
            }
        }
        ksort($groups, SORT_STRING);

        return array_values($groups);
    }
}
