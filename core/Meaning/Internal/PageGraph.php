<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning\Internal;

/**
 * Which pages rank for which keywords, both numbered from 0, in flat lists, most of them of four-byte numbers in a
 * string: an edge takes 20 bytes, a page 25 and, until the graph is closed, its URL; so millions of edges fit into memory.
 *
 * @internal
 */
final class PageGraph
{
    private const NUMBER = 'V';
    private const BYTES = 4;

    /** @var array<int, array<string, int>> domain → URL → number of the page */
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

    public function __construct()
    {
        $this->pagesFrom = pack(self::NUMBER, 0);
    }

    /** @param int $domain 0…255 */
    public function addEdge(int $domain, string $url): void
    {
        $page = $this->numbers[$domain][$url] ??= \count($this->degrees);
        if (! isset($this->degrees[$page])) {
            $this->domains .= \chr($domain);
            $this->degrees[] = 0;
        }
        ++$this->degrees[$page];
        $this->pages .= pack(self::NUMBER, $page);
    }

    /** The edges added since the last call are those of the next keyword. */
    public function endKeyword(): void
    {
        $this->pagesFrom .= pack(self::NUMBER, intdiv(\strlen($this->pages), self::BYTES));
    }

    /** Turns the lists round, so that a page knows its keywords. No edge may be added any more. */
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

    private static function number(string $numbers, int $place): int
    {
        /** @var array{1: int} $found */
        $found = unpack(self::NUMBER, $numbers, self::BYTES * $place);

        return $found[1];
    }
}
