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
final class GroundIndex
{
    /** A stem counts up to so many topics, or up to that share of all. */
    private const MOST_TOPICS = 30;
    private const MOST_SHARE = .08;

    private const NUMBER = 'V';
    private const BYTES = 4;

    /** Keywords that are unpacked together. */
    private const CHUNK = 4096;

    /** Bits of the domains that rank within the top 20, for each keyword. */
    private string $holders = '';

    /** Ours for each topic: keywords held and keywords in all, four bytes each. */
    private string $own = '';

    /** Hundredths of every domain for each topic, a byte each. */
    private string $hundredths = '';

    /** @var list<int> */
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
        $sums = $this->sums($topics, $sizes, $held);
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
        /** @var array{held: int, of: int} $own */
        $own = unpack('Vheld/Vof', $this->own, 2 * self::BYTES * $topic);

        return Ground::held($own['held'], $own['of']);
    }

    /** @return list<int> stems in the names of too many topics, as StemSets knows them */
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
        $keyword = 0;
        foreach (str_split($this->holders, self::CHUNK * self::BYTES) as $chunk) {
            /** @var array<int, int> $holders */
            $holders = unpack(self::NUMBER.'*', $chunk);
            foreach ($holders as $bits) {
                $topic = $topicOf[$keyword++];
                ++$sizes[$topic];
                for ($place = $topic * $this->domains; $bits > 0; $bits >>= 1) {
                    $held[$place++] += $bits & 1;
                }
            }
        }

        return [$sizes, $held];
    }

    /**
     * A stem that no second topic bears relates nothing and is left out, as one that too many bear.
     *
     * @param array<int, int> $sizes
     * @param array<int, int> $held
     *
     * @return array<int, array<int, int>> stem → keywords of all topics that bear it, then those that each domain holds
     */
    private function sums(Topics $topics, array $sizes, array $held): array
    {
        $bearers = [];
        foreach ($topics->stems() as $stems) {
            foreach ($stems as $stem) {
                $bearers[$stem] = ($bearers[$stem] ?? 0) + 1;
            }
        }
        $most = max(self::MOST_TOPICS, self::MOST_SHARE * $topics->count());
        $sums = [];
        foreach ($bearers as $stem => $count) {
            if ($count > $most) {
                $this->common[] = $stem;
            } elseif ($count > 1) {
                $sums[$stem] = array_fill(0, 1 + $this->domains, 0);
            }
        }
        unset($bearers);
        foreach ($topics->stems() as $topic => $stems) {
            foreach ($stems as $stem) {
                if (isset($sums[$stem])) {
                    $sums[$stem][0] += $sizes[$topic];
                    for ($domain = 0; $domain < $this->domains; ++$domain) {
                        $sums[$stem][1 + $domain] += $held[$topic * $this->domains + $domain];
                    }
                }
            }
        }

        return $sums;
    }

    /**
     * @param list<array<int, int>> $related sums of each stem that counts, the topic's own keywords among them
     * @param array<int, int> $held
     */
    private function addTopic(int $topic, array $related, int $size, array $held): void
    {
        $stems = \count($related);
        $sums = array_fill(0, 1 + $this->domains, 0);
        foreach ($related as $ofStem) {
            foreach ($ofStem as $place => $sum) {
                $sums[$place] += $sum;
            }
        }
        $of = $sums[0] - $stems * $size;
        for ($domain = 0; $domain < $this->domains; ++$domain) {
            $holds = $sums[1 + $domain] - $stems * $held[$topic * $this->domains + $domain];
            $this->hundredths .= \chr(Ground::hundredths($holds, $of));
            if ($domain === 0) {
                $this->own .= pack('VV', $holds, $of);
            }
        }
    }
}
