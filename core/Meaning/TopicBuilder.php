<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Meaning\Internal\TopicJoiner;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Pages\PageIndex;

/**
 * Gathers keywords that one page can serve. Two keywords share evidence when a domain ranks the same URL, not a home
 * page, for both within the top 20; the evidence is the number of domains that do.
 *
 * Keywords are taken by falling volume, unknown last, ties in key order. Each one not yet assigned becomes a primary
 * keyword and takes every unassigned keyword with enough evidence to it, or with any evidence and alike in wording; then a
 * primary that took no one joins the first primary, in taking order, with the same set of word stems. At the end topics join that one page
 * can serve after all (`TopicJoiner`).
 *
 * Holds the whole graph, in flat lists: some 350 bytes for each keyword with three pages.
 */
final class TopicBuilder
{
    private const UNASSIGNED = -1;

    /** A keyword's number fits into so many bits. */
    private const NUMBER_BITS = 31;

    /** @var list<string> */
    private array $keywords = [];

    /** @var list<int> unknown as -1 */
    private array $volumes = [];

    /** @var array<int, int> */
    private array $primaryOf = [];

    /**
     * @param int       $evidence domains that must rank one page for both keywords
     * @param PageGraph $graph    of the same keywords, in the same order
     */
    public function __construct(
        private readonly int $evidence,
        private readonly Stemmer $stemmer,
        private readonly PageGraph $graph,
    ) {
    }

    /**
     * Adds the next keyword of the universe, in key order.
     *
     * @throws InvalidArgument when keywords do not come in key order
     */
    public function add(string $keyword, ?int $volume): void
    {
        $number = \count($this->keywords);
        if ($number > 0 && strcmp($keyword, $this->keywords[$number - 1]) <= 0) {
            throw InvalidArgument::because('Keywords must be added in key order, each once.');
        }
        $this->keywords[] = $keyword;
        $this->volumes[] = $volume ?? -1;
    }

    /**
     * Comes once: the graph is used up.
     *
     * @param PageIndex $pages of the same keywords, in the same order
     */
    public function build(PageIndex $pages): Topics
    {
        $this->graph->close();
        $needed = $this->graph->domainsWithPages() < 2 ? 1 : $this->evidence;
        $this->primaryOf = array_fill(0, \count($this->keywords), self::UNASSIGNED);
        $stems = StemSets::of($this->keywords, $this->stemmer);
        $primaries = [];
        $hasTaken = '';
        foreach ($this->takingOrder() as $number) {
            if ($this->primaryOf[$number] === self::UNASSIGNED) {
                $this->primaryOf[$number] = $number;
                $primaries[] = $number;
                $hasTaken .= $this->take($number, $needed, $stems) > 0 ? '1' : '0';
            }
        }
        $this->graph->forget();
        $staying = $this->joinByStems($primaries, $hasTaken, $stems);
        $into = (new TopicJoiner($this->primaryOf, $pages, $stems))->joined($staying);
        foreach ($this->primaryOf as $number => $primary) {
            $this->primaryOf[$number] = $into[$primary] ?? $primary;
        }
        $primaries = array_values(array_filter($staying, static fn(int $primary): bool => ! isset($into[$primary])));

        return new Topics($this->keywords, $this->primaryOf, $primaries, $stems);
    }

    /**
     * Sorts plain whole numbers, the rank of the volume above the number of the keyword, which is far quicker than
     * comparing keywords two by two.
     *
     * @return list<int> by falling volume, then in key order
     */
    private function takingOrder(): array
    {
        $volumes = array_keys(array_flip($this->volumes));
        rsort($volumes, SORT_NUMERIC);
        $ranks = array_flip($volumes);
        $order = [];
        foreach ($this->volumes as $number => $volume) {
            $order[] = $ranks[$volume] << self::NUMBER_BITS | $number;
        }
        sort($order, SORT_NUMERIC);
        foreach ($order as $place => $key) {
            $order[$place] = $key & (1 << self::NUMBER_BITS) - 1;
        }

        return $order;
    }

    /** @return int keywords taken */
    private function take(int $primary, int $needed, StemSets $stems): int
    {
        $domains = [];
        foreach ($this->graph->pagesOf($primary) as $page) {
            $bit = 1 << $this->graph->domainOf($page);
            foreach ($this->graph->freeKeywordsOf($page, $this->primaryOf) as $number) {
                $domains[$number] = ($domains[$number] ?? 0) | $bit;
            }
        }
        $taken = 0;
        foreach ($domains as $number => $mask) {
            $evidence = ($mask & $mask - 1) === 0 ? 1 : substr_count(decbin($mask), '1');
            if ($evidence >= $needed || $stems->areAlike($primary, $number)) {
                $this->primaryOf[$number] = $primary;
                ++$taken;
            }
        }

        return $taken;
    }

    /**
     * @param list<int> $primaries in taking order
     * @param string    $hasTaken  a `1` for each of them that took someone, a `0` for the others: a byte instead of sixteen
     *
     * @return list<int> the primaries that stay, in taking order
     */
    private function joinByStems(array $primaries, string $hasTaken, StemSets $stems): array
    {
        $firstWith = $staying = [];
        foreach ($primaries as $place => $primary) {
            $set = $stems->at($primary);
            $first = $set === '' ? $primary : ($firstWith[$set] ??= $primary);
            if ($first === $primary || $hasTaken[$place] === '1') {
                $staying[] = $primary;
            } else {
                $this->primaryOf[$primary] = $first;
            }
        }

        return $staying;
    }
}
