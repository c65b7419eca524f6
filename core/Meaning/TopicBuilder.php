<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Site\UrlKey;

/**
 * Gathers keywords that one page can serve. Two keywords share evidence when a domain ranks the same URL, not a home
 * page, for both within the top 20; the evidence is the number of domains that do.
 *
 * Keywords are taken by falling volume, unknown last, ties in key order. Each one not yet assigned becomes a primary
 * keyword and takes every unassigned keyword with enough evidence to it; then a primary that took nobody joins the
 * first primary, in taking order, with the same set of word stems.
 *
 * Holds the whole graph: under 900 bytes for each keyword with three pages, 0.83 GB for a million keywords.
 */
final class TopicBuilder
{
    private const TOP = 20;

    /** @var list<string> */
    private array $keywords = [];

    /** @var list<?int> */
    private array $volumes = [];

    /** @var array<string, int> */
    private array $pageNumbers = [];

    /** @var list<int> */
    private array $pageDomains = [];

    /** @var array<int, list<int>> page → keywords, in key order */
    private array $keywordsOf = [];

    /** @var array<int, list<int>> keyword → pages */
    private array $pagesOf = [];

    /** @var array<int, true> */
    private array $domainsWithUrls = [];

    /** @var array<int, int> */
    private array $primaryOf = [];

    /** @param int $evidence domains that must rank one page for both keywords */
    public function __construct(private readonly int $evidence, private readonly Stemmer $stemmer)
    {
    }

    /**
     * Adds the next keyword of the universe, in key order.
     *
     * @param iterable<PageRanking> $rankings every page of every compared domain for it, at whatever position
     *
     * @throws Misuse when keywords do not come in key order
     */
    public function add(string $keyword, ?int $volume, iterable $rankings): void
    {
        $number = \count($this->keywords);
        if ($number > 0 && strcmp($keyword, $this->keywords[$number - 1]) <= 0) {
            throw Misuse::because('Keywords must be added in key order, each once.');
        }
        $this->keywords[] = $keyword;
        $this->volumes[] = $volume;
        foreach ($rankings as $ranking) {
            $this->domainsWithUrls[$ranking->domain] = true;
            if ($ranking->position <= self::TOP && ! UrlKey::isHomePage($ranking->url)) {
                $page = $this->pageNumber($ranking);
                $this->keywordsOf[$page][] = $number;
                $this->pagesOf[$number][] = $page;
            }
        }
    }

    public function build(): Topics
    {
        $needed = \count($this->domainsWithUrls) < 2 ? 1 : $this->evidence;
        $taken = [];
        foreach ($this->takingOrder() as $number) {
            if (! isset($this->primaryOf[$number])) {
                $this->primaryOf[$number] = $number;
                $taken[$number] = $this->take($number, $needed);
            }
        }

        $members = $this->joinByStems($taken);

        return new Topics($this->keywords, $this->primaryOf, $members);
    }

    private function pageNumber(PageRanking $ranking): int
    {
        $key = $ranking->domain.' '.$ranking->url;
        if (! isset($this->pageNumbers[$key])) {
            $this->pageNumbers[$key] = \count($this->pageDomains);
            $this->pageDomains[] = $ranking->domain;
        }

        return $this->pageNumbers[$key];
    }

    /** @return list<int> */
    private function takingOrder(): array
    {
        $order = array_keys($this->keywords);
        $volumes = $this->volumes;
        usort($order, static fn(int $a, int $b): int => ($volumes[$b] ?? -1) <=> ($volumes[$a] ?? -1) ?: $a <=> $b);

        return $order;
    }

    /** @return list<int> the keywords taken, in key order */
    private function take(int $primary, int $needed): array
    {
        $domains = [];
        foreach ($this->pagesOf[$primary] ?? [] as $page) {
            $bit = 1 << $this->pageDomains[$page];
            foreach ($this->unassignedOn($page) as $number) {
                $domains[$number] = ($domains[$number] ?? 0) | $bit;
            }
        }
        $taken = [];
        foreach ($domains as $number => $mask) {
            if (substr_count(decbin($mask), '1') >= $needed) {
                $this->primaryOf[$number] = $primary;
                $taken[] = $number;
            }
        }
        sort($taken);

        return $taken;
    }

    /**
     * Keywords of a page that no topic has yet; those that have one are forgotten here, as they never come free again.
     *
     * @return list<int>
     */
    private function unassignedOn(int $page): array
    {
        return $this->keywordsOf[$page] = array_values(array_filter($this->keywordsOf[$page], fn(int $number): bool => ! isset($this->primaryOf[$number])));
    }

    /**
     * @param array<int, list<int>> $taken primary → its secondaries, primaries in taking order
     *
     * @return array<int, non-empty-list<int>>
     */
    private function joinByStems(array $taken): array
    {
        $stems = $this->stemsOf(array_keys($taken));
        $firstWith = [];
        $joined = [];
        foreach ($taken as $primary => $secondaries) {
            $set = $stems[$primary];
            $first = $set === '' ? $primary : ($firstWith[$set] ??= $primary);
            if ($secondaries === [] && $first !== $primary) {
                $this->primaryOf[$primary] = $first;
                $joined[$first][] = $primary;
            }
        }

        return self::members($taken, $joined, $this->primaryOf);
    }

    /**
     * @param array<int, list<int>> $taken
     * @param array<int, list<int>> $joined
     * @param array<int, int>       $primaryOf
     *
     * @return array<int, non-empty-list<int>>
     */
    private static function members(array $taken, array $joined, array $primaryOf): array
    {
        $members = [];
        foreach ($taken as $primary => $secondaries) {
            if ($primaryOf[$primary] === $primary) {
                $all = [...$secondaries, ...$joined[$primary] ?? []];
                sort($all);
                $members[$primary] = [$primary, ...$all];
            }
        }

        return $members;
    }

    /**
     * @param list<int> $numbers
     *
     * @return array<int, string> keyword number → its set of word stems, spelt as one string
     */
    private function stemsOf(array $numbers): array
    {
        $vocabulary = [];
        foreach ($numbers as $number) {
            foreach (Words::of($this->keywords[$number]) as $word) {
                $vocabulary[$word] = true;
            }
        }
        $stems = $this->stemmer->stems(array_map(strval(...), array_keys($vocabulary)));
        $sets = [];
        foreach ($numbers as $number) {
            $set = array_unique(array_map(static fn(string $word): string => $stems[$word], Words::of($this->keywords[$number])));
            sort($set, SORT_STRING);
            $sets[$number] = implode(' ', $set);
        }

        return $sets;
    }
}
