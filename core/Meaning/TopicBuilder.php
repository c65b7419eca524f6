<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Pages\PageGraph;

/**
 * Gathers keywords that one page can serve. Two keywords share evidence when a domain ranks the same URL, not a home
 * page, for both within the top 20; the evidence is the number of domains that do.
 *
 * Keywords are taken by falling volume, unknown last, ties in key order. Each one not yet assigned becomes a primary
 * keyword and takes every unassigned keyword with enough evidence to it; then a primary that took nobody joins the
 * first primary, in taking order, with the same set of word stems.
 *
 * Holds the whole graph, in flat lists: some 350 bytes for each keyword with three pages.
 */
final class TopicBuilder
{
    private const UNASSIGNED = -1;

    /** A keyword's number fits into so many bits. */
    private const NUMBER_BITS = 31;

    /** Keywords whose words are stemmed at a time, so that their vocabulary stays small. */
    private const STEMMED_AT_ONCE = 50_000;

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
     * @throws Misuse when keywords do not come in key order
     */
    public function add(string $keyword, ?int $volume): void
    {
        $number = \count($this->keywords);
        if ($number > 0 && strcmp($keyword, $this->keywords[$number - 1]) <= 0) {
            throw Misuse::because('Keywords must be added in key order, each once.');
        }
        $this->keywords[] = $keyword;
        $this->volumes[] = $volume ?? -1;
    }

    /** Comes once: the graph is used up. */
    public function build(): Topics
    {
        $this->graph->close();
        $needed = $this->graph->domainsWithPages() < 2 ? 1 : $this->evidence;
        $this->primaryOf = array_fill(0, \count($this->keywords), self::UNASSIGNED);
        $primaries = [];
        $hasTaken = '';
        foreach ($this->takingOrder() as $number) {
            if ($this->primaryOf[$number] === self::UNASSIGNED) {
                $this->primaryOf[$number] = $number;
                $primaries[] = $number;
                $hasTaken .= $this->take($number, $needed) > 0 ? '1' : '0';
            }
        }
        $this->graph->forget();
        $staying = $this->joinByStems($primaries, $hasTaken);

        return new Topics($this->keywords, $this->primaryOf, $staying);
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
        $this->volumes = [];
        sort($order, SORT_NUMERIC);
        foreach ($order as $place => $key) {
            $order[$place] = $key & (1 << self::NUMBER_BITS) - 1;
        }

        return $order;
    }

    /** @return int keywords taken */
    private function take(int $primary, int $needed): int
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
            if (substr_count(decbin($mask), '1') >= $needed) {
                $this->primaryOf[$number] = $primary;
                ++$taken;
            }
        }

        return $taken;
    }

    /**
     * @param list<int> $primaries in taking order
     * @param string    $hasTaken  a `1` for each of them that took somebody, a `0` for the others: a byte instead of sixteen
     *
     * @return list<int> the primaries that stay, in taking order
     */
    private function joinByStems(array $primaries, string $hasTaken): array
    {
        $firstWith = $staying = $stems = [];
        foreach ($primaries as $place => $primary) {
            if ($place % self::STEMMED_AT_ONCE === 0) {
                $stems = $this->stemsOf(\array_slice($primaries, $place, self::STEMMED_AT_ONCE));
            }
            $set = $this->stemSet($primary, $stems);
            $first = $set === '' ? $primary : ($firstWith[$set] ??= $primary);
            if ($first === $primary || $hasTaken[$place] === '1') {
                $staying[] = $primary;
            } else {
                $this->primaryOf[$primary] = $first;
            }
        }

        return $staying;
    }

    /**
     * @param list<int> $numbers
     *
     * @return array<string, string> word → stem, for all words of some keywords
     */
    private function stemsOf(array $numbers): array
    {
        $vocabulary = [];
        foreach ($numbers as $number) {
            foreach (Words::of($this->keywords[$number]) as $word) {
                $vocabulary[$word] = true;
            }
        }

        return $this->stemmer->stems(array_map(strval(...), array_keys($vocabulary)));
    }

    /** @param array<string, string> $stems */
    private function stemSet(int $number, array $stems): string
    {
        $set = array_unique(array_map(static fn(string $word): string => $stems[$word], Words::of($this->keywords[$number])));
        sort($set, SORT_STRING);

        return implode(' ', $set);
    }
}
