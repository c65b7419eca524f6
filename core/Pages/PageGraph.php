<?php

declare(strict_types=1);

namespace GreaterReach\Core\Pages;

use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Site\UrlKey;

/**
 * Which pages rank within the top 20 for which keywords, both numbered from 0, home pages left out. Pages that rank worse are numbered
 * too. Held in flat lists, most of them of four-byte numbers in a string: an edge takes 20 bytes, a page 25 and, until the graph is
 * closed, its URL; so millions of edges fit into memory.
 */
final class PageGraph
{
    /** Beyond this position a page is too far to serve a keyword. */
    public const TOP = 20;

    private const NO_PAGE = -1;

    private const NUMBER = 'V';
    private const BYTES = 4;

    /** @var array<int, array<string, int>> domain → URL → number of the page, NO_PAGE for a home page */
    private array $numbers = [];

    /** Page → domain, a byte each. */
    private string $domains = '';

    /** Pages of the first keyword, then of the next, and so on. */
    private string $pages = '';

    /** Keyword → where its pages begin in `pages`; one more for the end. */
    private string $pagesFrom;

    /** @var array<int, int> page → edges */
    private array $degrees = [];

    /** @var array<int, int> keywords of the first page in rising order, then of the next, and so on */
    private array $keywords = [];

    /** Page → where its keywords begin in `keywords`. */
    private string $keywordsFrom = '';

    /** Bits of the domains that name a page. */
    private int $named = 0;

    /** @var array<int, int> domain → its rankings within the top */
    private array $ranked = [];

    /** @var array<int, int> domain → those of them that bear a page */
    private array $told = [];

    public function __construct()
    {
        $this->pagesFrom = pack(self::NUMBER, 0);
    }

    /**
     * Adds the pages of the next keyword.
     *
     * @param list<list<Ranking>> $rankings of every domain, at most 32, its pages, the best first
     */
    public function add(array $rankings): KeywordPages
    {
        $positions = [];
        foreach ($rankings as $domain => $ofDomain) {
            foreach ($ofDomain as $ranking) {
                $page = $this->pageOf($domain, $ranking);
                if ($page !== self::NO_PAGE) {
                    $positions[$page] ??= $ranking->position;
                }
            }
        }
        $near = $flat = [];
        foreach ($positions as $page => $position) {
            $flat[] = $page;
            $flat[] = $position;
            if ($position <= self::TOP) {
                ++$this->degrees[$page];
                $near[] = $page;
            }
        }
        $this->pages .= pack(self::NUMBER.'*', ...$near);
        $this->pagesFrom .= pack(self::NUMBER, intdiv(\strlen($this->pages), self::BYTES));

        return new KeywordPages($flat, $this->ownBest($rankings[0][0] ?? null));
    }

    private function ownBest(?Ranking $best): ?int
    {
        $page = $best === null || $best->url === null || $best->position > self::TOP ? self::NO_PAGE : $this->numbers[0][$best->url];

        return $page === self::NO_PAGE ? null : $page;
    }

    /** How many of the domains name any page of theirs, at whatever position. */
    public function domainsWithPages(): int
    {
        return substr_count(decbin($this->named), '1');
    }

    /** Whether enough is known of a domain's pages: at least half of its rankings within the top 20 bear one. */
    public function isTold(int $domain): bool
    {
        return 2 * ($this->told[$domain] ?? 0) >= ($this->ranked[$domain] ?? 0);
    }

    /** Whether a page at a position is one of the graph: known, near enough and no home page. */
    public static function counts(?string $url, int $position): bool
    {
        return $url !== null && $position <= self::TOP && ! UrlKey::isHomePage($url);
    }

    /** Its number, or NO_PAGE for a home page or none. */
    private function pageOf(int $domain, Ranking $ranking): int
    {
        $isNear = $ranking->position <= self::TOP;
        $this->ranked[$domain] = ($this->ranked[$domain] ?? 0) + ($isNear ? 1 : 0);
        $url = $ranking->url;
        if ($url === null) {
            return self::NO_PAGE;
        }
        $this->named |= 1 << $domain;
        $this->told[$domain] = ($this->told[$domain] ?? 0) + ($isNear ? 1 : 0);

        return $this->numbers[$domain][$url] ??= UrlKey::isHomePage($url) ? self::NO_PAGE : $this->addPage($domain);
    }

    private function addPage(int $domain): int
    {
        $this->domains .= \chr($domain);
        $this->degrees[] = 0;

        return \count($this->degrees) - 1;
    }

    /** Turns the lists round, so that a page knows its keywords. No keyword may be added any more. */
    public function close(): void
    {
        $this->numbers = $next = [];
        $from = 0;
        foreach ($this->degrees as $degree) {
            $this->keywordsFrom .= pack(self::NUMBER, $from);
            $next[] = $from;
            $from += $degree;
        }
        $this->keywords = array_fill(0, $from, 0);
        for ($keyword = 0, $count = intdiv(\strlen($this->pagesFrom), self::BYTES) - 1; $keyword < $count; ++$keyword) {
            foreach ($this->pagesOf($keyword) as $page) {
                $this->keywords[$next[$page]++] = $keyword;
            }
        }
    }

    /** @return array<int> */
    public function pagesOf(int $keyword): array
    {
        $from = self::number($this->pagesFrom, $keyword);
        $edges = self::number($this->pagesFrom, $keyword + 1) - $from;

        /** @var array<int> $pages */
        $pages = unpack(self::NUMBER.$edges, $this->pages, self::BYTES * $from);

        return $pages;
    }

    public function domainOf(int $page): int
    {
        return \ord($this->domains[$page]);
    }

    /**
     * Keywords of a page that stand at -1 in a list. The others are forgotten here: they never come free again, and a page
     * with many keywords would otherwise be read over and over.
     *
     * @param array<int, int> $primaryOf
     *
     * @return list<int> in rising order
     */
    public function freeKeywordsOf(int $page, array $primaryOf): array
    {
        $free = [];
        $from = self::number($this->keywordsFrom, $page);
        for ($edge = $from, $end = $from + $this->degrees[$page]; $edge < $end; ++$edge) {
            if ($primaryOf[$this->keywords[$edge]] < 0) {
                $free[] = $this->keywords[$edge];
            }
        }
        foreach ($free as $place => $keyword) {
            $this->keywords[$from + $place] = $keyword;
        }
        $this->degrees[$page] = \count($free);

        return $free;
    }

    /** Gives the memory of the edges back; whose page is whose stays known. */
    public function forget(): void
    {
        $this->pages = $this->keywordsFrom = '';
        $this->pagesFrom = pack(self::NUMBER, 0);
        $this->degrees = $this->keywords = $this->numbers = [];
    }

    private static function number(string $numbers, int $place): int
    {
        /** @var array{1: int} $found */
        $found = unpack(self::NUMBER, $numbers, self::BYTES * $place);

        return $found[1];
    }
}
