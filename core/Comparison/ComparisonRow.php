<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/**
 * Everything a comparison says about one keyword. Domains are numbered: 0 is ours, 1…n the competitors as listed.
 * A position of null means absent (or worse than the comparison's `within`).
 */
final readonly class ComparisonRow
{
    public function __construct(
        public string $keyword,
        public Standing $standing,
        /** @var list<?int> position of every domain, ours first */
        public array $positions,
        /** @var list<?int> position of every domain in its previous snapshot */
        public array $previous,
        /** @var list<Ranking> our rankings for the keyword, the best first */
        public array $ownRankings,
        /** Number (1…n) of the competitor that ranks best, ties to the one listed first. */
        public ?int $bestCompetitor,
        public ?int $bestPosition,
        public int $competitorsRanking,
        public int $competitorsAbove,
        /** Bit i is set when domain i is present. */
        public int $presence,
        public ?Movement $movement,
    ) {
    }

    /** How many competitors rank at a position or better. */
    public function competitorsIn(int $top): int
    {
        $count = 0;
        foreach ($this->positions as $domain => $position) {
            $count += $domain > 0 && $position !== null && $position <= $top ? 1 : 0;
        }

        return $count;
    }

    public function ownPosition(): ?int
    {
        return $this->positions[0];
    }

    public function ownUrl(): ?string
    {
        return $this->ownRankings === [] ? null : $this->ownRankings[0]->url;
    }
}
