<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Pages\KeywordPages;
use GreaterReach\Core\Pages\PageGraph;

/**
 * Counts, while keywords go by, for how many keywords each page ranks and for how many of these each domain does; and tells, when all
 * have gone by, the ground of every domain at every keyword.
 *
 * The page that leads at a keyword, for a domain: of each other domain the page that has its best position, if that is within the top 20;
 * of these the best position, ties to the domain listed first. A keyword takes 13 bytes, a page 16 for every two domains and 16 more.
 */
final class GroundBook
{
    /** Domains whose counts share one whole number. */
    private const TOGETHER = 2;
    private const COUNT_BITS = 31;
    private const COUNT_MASK = (1 << self::COUNT_BITS) - 1;

    /** How a keyword is kept: domains within the top, the page that leads with its domain, and the one for that domain itself. */
    private const FORMAT = 'Vholders/Vfirst/Cdomain/Vsecond';
    private const PACKED = 'VVCV';
    private const BYTES = 13;

    private readonly int $words;

    private string $keywords = '';

    /** @var array<int, int> page → keywords it ranks for */
    private array $sizes = [];

    /** @var array<int, int> page and pair of domains → keywords of the page that each of the two ranks for */
    private array $held = [];

    /** @param int $domains how many there are, ours among them, at most 32 */
    public function __construct(private readonly int $domains)
    {
        $this->words = intdiv($domains + self::TOGETHER - 1, self::TOGETHER);
    }

    /** @param list<?int> $positions best position of every domain */
    public function add(KeywordPages $pages, array $positions): void
    {
        $holders = 0;
        $ones = array_fill(0, $this->words, 0);
        foreach ($positions as $domain => $position) {
            if ($position !== null && $position <= PageGraph::TOP) {
                $holders |= 1 << $domain;
                $ones[intdiv($domain, self::TOGETHER)] += 1 << self::COUNT_BITS * ($domain % self::TOGETHER);
            }
        }
        foreach ($pages->pages as $page) {
            $this->sizes[$page] = ($this->sizes[$page] ?? 0) + 1;
            foreach ($ones as $word => $one) {
                $place = $page * $this->words + $word;
                $this->held[$place] = ($this->held[$place] ?? 0) + $one;
            }
        }
        [$first, $second] = self::leading($pages->best, $positions);
        $this->keywords .= pack(
            self::PACKED,
            $holders,
            $first === null ? 0 : (int) $pages->best[$first] + 1,
            (int) $first,
            $second === null ? 0 : (int) $pages->best[$second] + 1,
        );
    }

    /**
     * @return \Generator<int, array{list<int>, Ground}> of every keyword, in the order they went by, the ground of every domain in
     *     hundredths, and ours with its counts
     */
    public function grounds(): \Generator
    {
        $end = \strlen($this->keywords);
        for ($from = 0; $from < $end; $from += self::BYTES) {
            /** @var array{holders: int, first: int, domain: int, second: int} $kept */
            $kept = unpack(self::FORMAT, $this->keywords, $from);
            $hundredths = [];
            $own = Ground::none();
            for ($domain = 0; $domain < $this->domains; ++$domain) {
                $page = ($kept['first'] > 0 && $kept['domain'] === $domain ? $kept['second'] : $kept['first']) - 1;
                if ($page < 0) {
                    $hundredths[] = Ground::WITHOUT_LEADER;
                    continue;
                }
                [$held, $of] = $this->holds($page, $domain, $kept['holders']);
                $hundredths[] = Ground::hundredths($held, $of);
                $own = $domain === 0 ? Ground::held($held, $of) : $own;
            }
            yield [$hundredths, $own];
        }
    }

    /** @return array{int, int} for how many of the other keywords of a page a domain ranks, and how many there are */
    private function holds(int $page, int $domain, int $holders): array
    {
        $both = $this->held[$page * $this->words + intdiv($domain, self::TOGETHER)];
        $count = $both >> self::COUNT_BITS * ($domain % self::TOGETHER) & self::COUNT_MASK;

        return [$count - ($holders >> $domain & 1), $this->sizes[$page] - 1];
    }

    /**
     * @param list<?int> $best
     * @param list<?int> $positions
     *
     * @return array{?int, ?int} the domain that leads, and the one that leads for it
     */
    private static function leading(array $best, array $positions): array
    {
        $first = $second = null;
        foreach ($best as $domain => $page) {
            if ($page === null) {
                continue;
            }
            if ($first === null || $positions[$domain] < $positions[$first]) {
                [$first, $second] = [$domain, $first];
            } elseif ($second === null || $positions[$domain] < $positions[$second]) {
                $second = $domain;
            }
        }

        return [$first, $second];
    }
}
