<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning\Internal;

use GreaterReach\Core\Meaning\StemSets;
use GreaterReach\Core\Pages\PageIndex;

/**
 * Joins topics that one page can serve after all: those alike in wording that share a page of any domain, and those whose primary keywords
 * the same own page holds. Pages and stems are those of a topic before any other joined it.
 *
 * @internal
 */
final class TopicJoiner
{
    private const FEWEST_STEMS = 2;

    /** @var array<int, int> page → place in `kept` of the last topic that was kept with it */
    private array $lastWith = [];

    /** @var list<int> kept topics, once for each page that ranks for them */
    private array $kept = [];

    /** @var list<int> beside each, the place of the one before it with the same page; −1 where it is the first */
    private array $before = [];

    /** @var array<int, int> primary keyword → its place in taking order */
    private array $places = [];

    /** @param array<int, int> $primaryOf keyword → primary keyword of its topic */
    public function __construct(private readonly array $primaryOf, private readonly PageIndex $pages, private readonly StemSets $stems)
    {
    }

    /**
     * @param list<int> $primaries in taking order
     *
     * @return array<int, int> primary keyword that stays none → the one under whom its topic goes on
     */
    public function joined(array $primaries): array
    {
        $into = [];
        $this->places = array_flip($primaries);
        [$before, $last] = $this->members();
        foreach ($primaries as $primary) {
            if ($this->stems->countOf($primary) < self::FEWEST_STEMS) {
                continue;
            }
            $pages = $this->pagesOf($before, $last[$primary]);
            $kept = $this->closest($primary, $pages);
            if ($kept !== null) {
                $into[$primary] = $kept;
            } else {
                $this->keep($primary, $pages);
            }
        }
        $this->lastWith = $this->kept = $this->before = [];

        return $this->joinedByOwnPage($primaries, $into);
    }

    /** @return array{array<int, int>, array<int, int>} keyword → the one before it in its topic, −1 for none; primary → the last one */
    private function members(): array
    {
        $before = $last = [];
        foreach ($this->primaryOf as $keyword => $primary) {
            $before[$keyword] = $last[$primary] ?? -1;
            $last[$primary] = $keyword;
        }

        return [$before, $last];
    }

    /**
     * @param array<int, int> $before  keyword → the one before it in its topic
     * @param int             $keyword the last of a topic
     *
     * @return array<int, true> pages of any domain, listings left out
     */
    private function pagesOf(array $before, int $keyword): array
    {
        $pages = [];
        for (; $keyword >= 0; $keyword = $before[$keyword]) {
            foreach ($this->pages->pagesOf($keyword) as $page) {
                $pages[$page] = true;
            }
        }

        return $pages;
    }

    /** @param array<int, true> $pages */
    private function keep(int $primary, array $pages): void
    {
        foreach ($pages as $page => $one) {
            $this->before[] = $this->lastWith[$page] ?? -1;
            $this->lastWith[$page] = \count($this->kept);
            $this->kept[] = $primary;
        }
    }

    /**
     * The kept topic with the most pages in common of those alike in wording; ties to the one taken first.
     *
     * @param array<int, true> $pages
     */
    private function closest(int $primary, array $pages): ?int
    {
        $shared = [];
        foreach ($pages as $page => $one) {
            for ($place = $this->lastWith[$page] ?? -1; $place >= 0; $place = $this->before[$place]) {
                $kept = $this->kept[$place];
                $shared[$kept] = ($shared[$kept] ?? 0) + 1;
            }
        }
        $best = null;
        foreach ($shared as $kept => $count) {
            if ($best !== null && ($count < $best[0] || ($count === $best[0] && $this->places[$kept] > $this->places[$best[1]]))) {
                continue;
            }
            if ($this->stems->areRelated($primary, $kept)) {
                $best = [$count, $kept];
            }
        }

        return $best[1] ?? null;
    }

    /**
     * @param list<int>       $primaries in taking order
     * @param array<int, int> $into
     *
     * @return array<int, int> the same with those joined whose primary keywords have one best own page
     */
    private function joinedByOwnPage(array $primaries, array $into): array
    {
        $firstWith = [];
        foreach ($primaries as $primary) {
            $page = isset($into[$primary]) ? null : $this->pages->ownBestOf($primary);
            if ($page !== null && isset($firstWith[$page])) {
                $into[$primary] = $firstWith[$page];
            } elseif ($page !== null) {
                $firstWith[$page] = $primary;
            }
        }

        // Who had joined one of these goes along.
        return array_map(static fn(int $kept): int => $into[$kept] ?? $kept, $into);
    }
}
