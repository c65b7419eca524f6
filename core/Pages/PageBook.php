<?php

declare(strict_types=1);

namespace GreaterReach\Core\Pages;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Results\Compared;

/**
 * Every page of every domain with all keywords it ranks for, at whatever position. Keywords are numbered as they were added, pages as in
 * the graph. Five bytes for each keyword of a page while it is filled.
 */
final class PageBook
{
    /** A page that ranks for more keywords than these is a listing: it serves no topic of its own. */
    public const LISTING = 500;

    private const PACKED = 'VC';
    private const FORMAT = 'Vpage/Cposition';
    private const BYTES = 5;
    private const POSITION_BITS = 7;
    private const POSITION_MASK = 127;

    private string $edges = '';

    /** @var list<int> keyword → where its edges begin in `edges`; one more for the end */
    private array $from = [0];

    /** @var array<int, int> page → keywords it ranks for */
    private array $sizes = [];

    /** @var list<?int> keyword → our best page */
    private array $ownBest = [];

    public function add(KeywordPages $pages): void
    {
        for ($place = 0, $end = \count($pages->flat); $place < $end; $place += 2) {
            [$page, $position] = [$pages->flat[$place], $pages->flat[$place + 1]];
            $this->edges .= pack(self::PACKED, $page, $position);
            $this->sizes[$page] = ($this->sizes[$page] ?? 0) + 1;
        }
        $this->from[] = \strlen($this->edges);
        $this->ownBest[] = $pages->ownBest;
    }

    public function isListing(int $page): bool
    {
        return ($this->sizes[$page] ?? 0) > self::LISTING;
    }

    /** @return \Generator<int, int> page → position, of those that are no listing */
    public function pagesOf(int $keyword): \Generator
    {
        for ($at = $this->from[$keyword], $end = $this->from[$keyword + 1]; $at < $end; $at += self::BYTES) {
            /** @var array{page: int, position: int} $edge */
            $edge = unpack(self::FORMAT, $this->edges, $at);
            if (! $this->isListing($edge['page'])) {
                yield $edge['page'] => $edge['position'];
            }
        }
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
        $topics = [];
        foreach ($this->byPage() as $page => $edges) {
            $earned = [];
            foreach ($edges as [$keyword, $position]) {
                $topic = $topicOf[$keyword];
                $earned[$topic] = ($earned[$topic] ?? 0.0) + (($volumes[$keyword] ?? 0) + 1) * $curve->at($position);
            }
            $topics[$page] = self::best($earned);
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
            $rank = [-Compared::of($clicks), $topic];
            if ($best === null || $rank < $best) {
                $best = $rank;
            }
        }

        return (int) $best[1];
    }

    /** @return \Generator<int, non-empty-list<array{int, int}>> page → its keywords with positions, listings left out */
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
        $edges = array_fill(0, $at, 0);
        for ($keyword = 0, $count = \count($this->from) - 1; $keyword < $count; ++$keyword) {
            foreach ($this->pagesOf($keyword) as $page => $position) {
                $edges[$next[$page]++] = $keyword << self::POSITION_BITS | $position;
            }
        }
        foreach ($next as $page => $end) {
            $ofPage = [];
            for ($place = $end - $this->sizes[$page]; $place < $end; ++$place) {
                $ofPage[] = [$edges[$place] >> self::POSITION_BITS, $edges[$place] & self::POSITION_MASK];
            }
            if ($ofPage !== []) {
                yield $page => $ofPage;
            }
        }
    }
}
