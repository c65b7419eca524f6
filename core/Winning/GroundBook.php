<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Meaning\Topics;
use GreaterReach\Core\Pages\PageGraph;

/**
 * The ground of every domain at every topic. A topic's stems are those of its primary keyword; for each of them the keywords of the other
 * topics whose names bear it count, once for each stem that they share. A stem in the names of too many topics says nothing.
 *
 * Four bytes a keyword while it is filled, one a domain and topic afterwards.
 */
final class GroundBook
{
    /** A stem counts up to so many topics, or up to that share of all. */
    private const MOST_TOPICS = 30;
    private const MOST_SHARE = .08;

    private const NUMBER = 'V';
    private const BYTES = 4;

    /** Bits of the domains that rank within the top 20, for each keyword. */
    private string $holders = '';

    /** @var list<Ground> ours, for each topic */
    private array $own = [];

    /** Hundredths of every domain for each topic, a byte each. */
    private string $hundredths = '';

    /** @var list<string> */
    private array $common = [];

    /** @param int $domains how many there are, ours among them, at most 32 */
    public function __construct(private readonly int $domains)
    {
    }

    /** @param list<?int> $positions best position of every domain for the next keyword */
    public function add(array $positions): void
    {
        $holders = 0;
        foreach ($positions as $domain => $position) {
            if ($position !== null && $position <= PageGraph::TOP) {
                $holders |= 1 << $domain;
            }
        }
        $this->holders .= pack(self::NUMBER, $holders);
    }

    /**
     * Comes once, when all keywords have gone by.
     *
     * @param list<int> $topicOf keyword → the place of its topic in taking order
     */
    public function settle(Topics $topics, array $topicOf): void
    {
        [$sizes, $held] = $this->perTopic($topics->count(), $topicOf);
        $bearing = [];
        foreach ($topics->stems() as $topic => $stems) {
            foreach ($stems as $stem) {
                $bearing[$stem][] = $topic;
            }
        }
        $most = max(self::MOST_TOPICS, self::MOST_SHARE * $topics->count());
        $sums = [];
        foreach ($bearing as $stem => $bearers) {
            if (\count($bearers) > $most) {
                $this->common[] = (string) $stem;
            } else {
                $sums[$stem] = $this->sums($bearers, $sizes, $held);
            }
        }
        foreach ($topics->stems() as $topic => $stems) {
            // By the few stems of the topic: an intersection would go through all that there are.
            $related = [];
            foreach ($stems as $stem) {
                if (isset($sums[$stem])) {
                    $related[] = $sums[$stem];
                }
            }
            $this->addTopic($topic, $related, $sizes[$topic], $held);
        }
        $this->holders = '';
    }

    /** Of a domain at a topic, 1…99. */
    public function hundredths(int $topic, int $domain): int
    {
        return \ord($this->hundredths[$topic * $this->domains + $domain]);
    }

    public function own(int $topic): Ground
    {
        return $this->own[$topic];
    }

    /** @return list<string> stems in the names of too many topics, as StemSets knows them */
    public function commonStems(): array
    {
        return $this->common;
    }

    /**
     * @param list<int> $topicOf
     *
     * @return array{array<int, int>, array<int, int>} topic → keywords; topic and domain → those of them that the domain holds
     */
    private function perTopic(int $topics, array $topicOf): array
    {
        $sizes = array_fill(0, $topics, 0);
        $held = array_fill(0, $topics * $this->domains, 0);
        foreach ($topicOf as $keyword => $topic) {
            ++$sizes[$topic];
            /** @var array{1: int} $holders */
            $holders = unpack(self::NUMBER, $this->holders, self::BYTES * $keyword);
            for ($domain = 0; $domain < $this->domains; ++$domain) {
                $held[$topic * $this->domains + $domain] += $holders[1] >> $domain & 1;
            }
        }

        return [$sizes, $held];
    }

    /**
     * @param list<int>       $bearers topics that bear a stem
     * @param array<int, int> $sizes
     * @param array<int, int> $held
     *
     * @return list<int> keywords of them all, then those that each domain holds
     */
    private function sums(array $bearers, array $sizes, array $held): array
    {
        $sums = array_fill(0, 1 + $this->domains, 0);
        foreach ($bearers as $topic) {
            $sums[0] += $sizes[$topic];
            for ($domain = 0; $domain < $this->domains; ++$domain) {
                $sums[1 + $domain] += $held[$topic * $this->domains + $domain];
            }
        }

        return array_values($sums);
    }

    /**
     * @param list<list<int>> $related sums of each stem that counts, the topic's own keywords among them
     * @param array<int, int> $held
     */
    private function addTopic(int $topic, array $related, int $size, array $held): void
    {
        $stems = \count($related);
        $of = array_sum(array_column($related, 0)) - $stems * $size;
        for ($domain = 0; $domain < $this->domains; ++$domain) {
            $holds = array_sum(array_column($related, 1 + $domain)) - $stems * $held[$topic * $this->domains + $domain];
            $this->hundredths .= \chr(Ground::hundredths($holds, $of));
            if ($domain === 0) {
                $this->own[] = Ground::held($holds, $of);
            }
        }
    }
}
