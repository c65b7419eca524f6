<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning\Internal;

use GreaterReach\Core\Meaning\StemSets;
use GreaterReach\Core\Pages\PageBook;

/**
 * Joins topics that one page can serve after all: those alike in wording that share a page of any domain, and those whose primary keywords
 * the same page of ours holds. Pages and stems are those of a topic before any other joined it.
 *
 * @internal
 */
final class TopicJoiner
{
    private const FEWEST_STEMS = 2;

    /** @var array<int, list<int>> page → kept topics that it ranks for */
    private array $keptWith = [];

    /** @var array<int, int> primary keyword → its place in taking order */
    private array $places = [];

    /** @param array<int, int> $primaryOf keyword → primary keyword of its topic */
    public function __construct(private readonly array $primaryOf, private readonly PageBook $pages, private readonly StemSets $stems)
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
        $members = $this->members();
        foreach ($primaries as $primary) {
            $pages = $this->pagesOf($members[$primary]);
            $kept = $this->stems->countOf($primary) < self::FEWEST_STEMS ? null : $this->closest($primary, $pages);
            if ($kept !== null) {
                $into[$primary] = $kept;
            } else {
                foreach ($pages as $page => $one) {
                    $this->keptWith[$page][] = $primary;
                }
            }
        }
        $this->keptWith = [];

        return $this->joinedByOwnPage($primaries, $into);
    }

    /** @return array<int, list<int>> primary keyword → keywords of its topic */
    private function members(): array
    {
        $members = [];
        foreach ($this->primaryOf as $keyword => $primary) {
            $members[$primary][] = $keyword;
        }

        return $members;
    }

    /**
     * @param list<int> $keywords
     *
     * @return array<int, true> pages of any domain, listings left out
     */
    private function pagesOf(array $keywords): array
    {
        $pages = [];
        foreach ($keywords as $keyword) {
            foreach ($this->pages->pagesOf($keyword) as $page => $position) {
                $pages[$page] = true;
            }
        }

        return $pages;
    }

    /**
     * The kept topic with the most pages in common of those alike in wording; ties to the one taken first.
     *
     * @param array<int, true> $pages
     */
    private function closest(int $primary, array $pages): ?int
    {
        $shared = $order = [];
        foreach ($pages as $page => $one) {
            foreach ($this->keptWith[$page] ?? [] as $kept) {
                $shared[$kept] = ($shared[$kept] ?? 0) + 1;
            }
        }
        $best = null;
        foreach ($shared as $kept => $count) {
            if ($best !== null && ($count < $best[0] || ($count === $best[0] && $this->places[$kept] > $this->places[$best[1]]))) {
                continue;
            }
            if ($this->stems->countOf($kept) >= self::FEWEST_STEMS && $this->stems->areRelated($primary, $kept)) {
                $best = [$count, $kept];
            }
        }

        return $best[1] ?? null;
    }

    /**
     * @param list<int>       $primaries in taking order
     * @param array<int, int> $into
     *
     * @return array<int, int> the same with those joined whose primary keywords have one best page of ours
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
