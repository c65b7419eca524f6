<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

use GreaterReach\Core\Clicks\CtrCurve;

/** Gathers the pages of one domain from its rankings: each page with every keyword it ranks for. */
final class DomainPages
{
    /** @var array<string, array{keywords: int, visits: float, leader: string, most: float, lacked: int}> */
    private array $pages = [];

    public function __construct(private readonly CtrCurve $curve)
    {
    }

    /**
     * Adds one ranking; the same page twice for one keyword is added once by the caller. Rankings without a page are left out.
     *
     * @param float $left share of the clicks that features of the results page leave, 0…1
     */
    public function add(Ranking $ranking, ?int $volume, bool $weRank, float $left = 1.0): void
    {
        if ($ranking->url === null) {
            return;
        }
        $visits = $volume === null ? 0.0 : $volume * $left * $this->curve->at($ranking->position);
        $page = $this->pages[$ranking->url] ?? [
            'keywords' => 0,
            'visits' => 0.0,
            'leader' => $ranking->keyword,
            'most' => -1.0,
            'lacked' => 0,
        ];
        $leads = $visits > $page['most'] || ($visits === $page['most'] && strcmp($ranking->keyword, $page['leader']) < 0);
        $this->pages[$ranking->url] = [
            'keywords' => $page['keywords'] + 1,
            'visits' => $page['visits'] + $visits,
            'leader' => $leads ? $ranking->keyword : $page['leader'],
            'most' => max($visits, $page['most']),
            'lacked' => $page['lacked'] + ($weRank ? 0 : 1),
        ];
    }

    /** @return list<PageTally> by visits, the most first; ties by URL */
    public function tallies(): array
    {
        $all = array_sum(array_column($this->pages, 'visits'));
        $tallies = [];
        foreach ($this->pages as $url => $page) {
            $tallies[] = new PageTally(
                (string) $url,
                $page['keywords'],
                $page['visits'],
                $page['leader'],
                $page['lacked'],
                $all > 0.0 ? $page['visits'] / $all : null,
            );
        }
        usort($tallies, static fn(PageTally $a, PageTally $b): int => $b->visits <=> $a->visits ?: strcmp($a->url, $b->url));

        return $tallies;
    }
}
