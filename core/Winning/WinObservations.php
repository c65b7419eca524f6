<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * Counts, per domain and difficulty, how many keywords there are and for how many the domain is on page one. The win
 * model needs no more than these counts, so that a million keywords fit into a few thousand groups.
 */
final class WinObservations
{
    /** @var array<string, array{domain: int, difficulty: float, trials: int, successes: int}> */
    private array $groups = [];

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
        foreach ($this->domains as $domain) {
            $key = $domain.'|'.$difficulty;
            $this->groups[$key] ??= ['domain' => $domain, 'difficulty' => $difficulty, 'trials' => 0, 'successes' => 0];
            ++$this->groups[$key]['trials'];
            $position = $positions[$domain];
            $this->groups[$key]['successes'] += $position !== null && $position <= ComfortDifficulty::FIRST_PAGE ? 1 : 0;
        }
    }

    /** @return list<array{domain: int, difficulty: float, trials: int, successes: int}> in one order whatever order they came in */
    public function groups(): array
    {
        ksort($this->groups, SORT_STRING);

        return array_values($this->groups);
    }
}
