<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/** What the snapshots hold for one keyword, whatever `within` is. Domains are numbered: 0 is ours, 1…n the competitors. */
final readonly class GatheredKeyword
{
    public function __construct(
        public string $keyword,
        /** @var list<list<Ranking>> of every domain its pages, the best first; of a competitor the best alone may do */
        public array $rankings,
        /** @var list<?int> position of every domain in its previous snapshot, null where it was absent or there is none */
        public array $previous,
    ) {
    }

    /** @return list<?int> best position of every domain */
    public function positions(): array
    {
        $positions = [];
        foreach ($this->rankings as $pages) {
            $positions[] = isset($pages[0]) ? $pages[0]->position : null;
        }

        return $positions;
    }
}
