<?php

declare(strict_types=1);

namespace GreaterReach\Core\Pages;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Results\RoundedFigure;

/**
 * Every page of every domain with all keywords it ranks for, at whatever position. Keywords are numbered as they were added, pages as in
 * the graph. Four bytes for each keyword of a page.
 */
final class PageIndex
{
    /** A page that ranks for more keywords than these is a listing: it serves no topic of its own. */
    public const LISTING = 500;

    private const NUMBERS = 'V*';
    private const BYTES = 4;
    private const POSITION_BITS = 7;
    private const POSITION_MASK = 127;

    /** Keywords whose edges are unpacked together. */
    private const CHUNK = 4096;

    /** Page and position of each edge in one number, by keyword. */
    private string $edges = '';

    /** @var list<int> keyword → where its edges begin in `edges`; one more for the end */
    private array $from = [0];

    /** @var array<int, int> page → keywords it ranks for */
    private array $sizes = [];

    /** @var list<?int> keyword → our best page */
    private array $ownBest = [];

    public function add(KeywordPages $pages): void
    {
        $edges = [];
        for ($place = 0, $end = \count($pages->flat); $place < $end; $place += 2) {
            $page = $pages->flat[$place];
            $edges[] = $page << self::POSITION_BITS | $pages->flat[$place + 1];
            $this->sizes[$page] = ($this->sizes[$page] ?? 0) + 1;
        }
        $this->edges .= pack(self::NUMBERS, ...$edges);
        $this->from[] = \strlen($this->edges);
        $this->ownBest[] = $pages->ownBest;
    }

    public function isListing(int $page): bool
    {
        return ($this->sizes[$page] ?? 0) > self::LISTING;
    }

    /** @return list<int> pages that rank for a keyword, at whatever position, listings left out */
    public function pagesOf(int $keyword): array
    {
        $from = $this->from[$keyword];
        /** @var array<int, int> $edges */
        $edges = unpack(self::NUMBERS, substr($this->edges, $from, $this->from[$keyword + 1] - $from));
        $pages = [];
        foreach ($edges as $edge) {
            $page = $edge >> self::POSITION_BITS;
            if ($this->sizes[$page] <= self::LISTING) {
                $pages[] = $page;
            }
        }

        return $pages;
    }

    /** Our best page for a keyword, where it is within the graph's top and no listing. */
    public function ownBestOf(int $keyword): ?int
    {
        $page = $this->ownBest[$keyword];

        return $page === null || $this->isListing($page) ? null : $page;
    }

    /**
     * The own topic of every page: the one for which it earns most, Σ (volume + 1) · ctr(position); ties to the smaller number.
     *
     * @param array<int, int> $topicOf keyword → number of its topic, smaller for those taken first
     * @param list<?int>      $volumes keyword → searches a month
     *
     * @return array<int, int> page → topic; listings have none
     */
    public function ownTopics(array $topicOf, array $volumes, CtrCurve $curve): array
    {
        $rates = [0.0, ...$curve->rates()];
        $topics = [];
        foreach ($this->byPage() as $page => $edges) {
            $earned = [];
            foreach ($edges as $edge) {
                $keyword = $edge >> self::POSITION_BITS;
                $clicks = (($volumes[$keyword] ?? 0) + 1) * ($rates[$edge & self::POSITION_MASK] ?? 0.0);
                $earned[$topicOf[$keyword]] = ($earned[$topicOf[$keyword]] ?? 0.0) + $clicks;
            }
            if ($earned !== []) {
                $topics[$page] = self::best($earned);
            }
        }

        return $topics;
    }

    /** @param non-empty-array<int, float> $earned topic → clicks a month */
    public static function best(array $earned): int
    {
        if (\count($earned) === 1) {
            return (int) array_key_first($earned);
        }
        $best = null;
        foreach ($earned as $topic => $clicks) {
            $rank = [-RoundedFigure::of($clicks), $topic];
            if ($best === null || $rank < $best) {
                $best = $rank;
            }
        }

        return (int) $best[1];
    }

    /** @return \Generator<int, list<int>> page → its keywords with positions in one number, listings left out */
    private function byPage(): \Generator
    {
        $next = [];
        $at = 0;
        foreach ($this->sizes as $page => $size) {
            if ($size <= self::LISTING) {
                $next[$page] = $at;
                $at += $size;
            }
        }
        $edges = $this->edgesByPage($next, array_fill(0, $at, 0));
        foreach ($next as $page => $from) {
            yield $page => \array_slice($edges, $from, $this->sizes[$page]);
        }
    }

    /**
     * @param array<int, int>      $next  page → where its edges begin
     * @param array<int, int>      $edges as many as there are
     *
     * @return array<int, int> keyword and position of each edge in one number, by page
     */
    private function edgesByPage(array $next, array $edges): array
    {
        for ($first = 0, $keywords = \count($this->from) - 1; $first < $keywords; $first += self::CHUNK) {
            $last = min($keywords, $first + self::CHUNK);
            $start = $this->from[$first];
            /** @var array<int, int> $packed numbered from 1 */
            $packed = unpack(self::NUMBERS, substr($this->edges, $start, $this->from[$last] - $start));
            $place = 1;
            for ($keyword = $first; $keyword < $last; ++$keyword) {
                for ($end = intdiv($this->from[$keyword + 1] - $start, self::BYTES); $place <= $end; ++$place) {
                    $page = $packed[$place] >> self::POSITION_BITS;
                    if (isset($next[$page])) {
                        $edges[$next[$page]++] = $keyword << self::POSITION_BITS | $packed[$place] & self::POSITION_MASK;
                    }
                }
            }
        }

        return $edges;
    }
}
