<?php

declare(strict_types=1);

namespace Tests\Core\Meaning;

use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\TopicBuilder;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Pages\PageIndex;
use GreaterReach\Core\Site\UrlKey;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TopicBuilderTest extends TestCase
{
    public function test_two_domains_with_one_page_for_both_make_a_topic(): void
    {
        $topics = $this->topics([
            'bee box' => [50, [[0, '/hive', 3], [1, '/hives', 9]]],
            'bee hive' => [900, [[0, '/hive', 1], [1, '/hives', 2], [2, '/h', 4]]],
            'hive stand' => [90, [[0, '/stand', 1], [1, '/hives', 20]]],
            'honey' => [null, [[0, '/hive', 21], [1, '/hives', 3]]],
        ]);
        self::assertSame(['bee hive' => ['bee box'], 'hive stand' => [], 'honey' => []], $topics);
    }

    public function test_a_head_term_takes_what_is_alike_in_wording_with_one_domain_alone(): void
    {
        $topics = $this->topics([
            'bee hive' => [900, [[0, '/hive', 1], [1, '/other', 2]]],
            // Half of the stems of both together are shared.
            'bee hives kit wood' => [50, [[0, '/hive', 3]]],
            // One of six.
            'bee feeder for garden now' => [40, [[1, '/other', 4]]],
            // Alike, but no page is shared.
            'hives for bees' => [30, [[1, '/hives', 1]]],
        ]);
        self::assertSame(
            ['bee hive' => ['bee hives kit wood'], 'bee feeder for garden now' => [], 'hives for bees' => []],
            $topics,
        );
    }

    public function test_an_apostrophe_is_one_however_it_is_written(): void
    {
        $pages = [[0, '/a', 1]];
        $topics = $this->topics([
            "bee's smoker" => [9, [...$pages, [1, '/b', 1]]],
            'bee’s smoker' => [8, []],
            '!!' => [7, []],
            '??' => [6, []],
        ]);
        self::assertSame(["bee's smoker" => ['bee’s smoker'], '!!' => [], '??' => []], $topics);
    }

    public function test_one_domain_is_enough_when_only_one_has_urls(): void
    {
        self::assertSame(['a' => ['b']], $this->topics(['a' => [9, [[0, '/x', 1]]], 'b' => [8, [[0, '/x', 20]]]]));
    }

    public function test_home_pages_are_no_evidence(): void
    {
        self::assertSame(
            ['a' => [], 'b' => []],
            $this->topics(['a' => [9, [[0, '/', 1], [1, '/', 1]]], 'b' => [8, [[0, '/', 1], [1, '/', 1]]]]),
        );
    }

    public function test_topics_alike_in_wording_that_share_a_page_become_one(): void
    {
        $topics = $this->topics([
            'bee hive' => [900, [[1, '/hive', 1], [2, '/h', 3]]],
            // All stems of the first are among its own, and a page stands for both, though far down.
            'bee hive kit garden wood' => [50, [[1, '/hive', 80]]],
            // The same, without a page in common.
            'bee hive kit paint wood' => [40, [[1, '/paint', 2]]],
            // A single stem says too little.
            'hives' => [30, [[1, '/hive', 90]]],
        ]);
        self::assertSame(
            ['bee hive' => ['bee hive kit garden wood'], 'bee hive kit paint wood' => [], 'hives' => []],
            $topics,
        );
    }

    public function test_topics_that_one_page_of_ours_leads_become_one(): void
    {
        $topics = $this->topics([
            'bee hive' => [900, [[0, '/guide', 20]]],
            'smoker' => [50, [[0, '/guide', 20], [0, '/other', 40]]],
            'feeder' => [40, [[0, '/guide', 21]]],
        ]);
        self::assertSame(['bee hive' => ['smoker'], 'feeder' => []], $topics);
    }

    public function test_a_lone_primary_joins_the_first_with_the_same_stems(): void
    {
        $topics = $this->topics(['bee hive' => [10, []], 'bees hives' => [500, []], 'hive bee' => [10, []], 'hive bees kits' => [5, []]]);
        self::assertSame(['bees hives' => ['bee hive', 'hive bee'], 'hive bees kits' => []], $topics);
    }

    public function test_a_primary_that_took_somebody_joins_nobody(): void
    {
        $topics = $this->topics([
            'hive' => [500, []],
            'hives' => [400, [[0, '/a', 1], [1, '/b', 1]]],
            'zebra' => [300, [[0, '/a', 1], [1, '/b', 1]]],
        ]);
        self::assertSame(['hive' => [], 'hives' => ['zebra']], $topics);
    }

    public function test_keywords_out_of_order_are_a_misuse(): void
    {
        $this->expectException(InvalidArgument::class);
        $builder = new TopicBuilder(2, self::stemmer(), new PageGraph());
        $builder->add('b', 1);
        $builder->add('a', 1);
    }

    public function test_an_empty_study_has_no_topics(): void
    {
        self::assertSame(0, (new TopicBuilder(2, self::stemmer(), new PageGraph()))->build(new PageIndex())->count());
    }

    /** A plain version that compares every pair, on random pages. */
    #[DataProvider('seeds')]
    public function test_it_agrees_with_a_plain_version(int $seed): void
    {
        mt_srand($seed);
        $universe = [];
        foreach (range(0, 39) as $number) {
            $pages = [];
            for ($count = mt_rand(0, 5); $count > 0; --$count) {
                $pages[] = [mt_rand(0, 3), ['/', '/a', '/b', '/c', '/d?x=1'][mt_rand(0, 4)], mt_rand(1, 25)];
            }
            $words = ['hive', 'hives', 'bee', 'bees', 'box', 'kit', "bee's", 'wood'];
            shuffle($words);
            $last = mt_rand(0, 2) > 0 ? str_repeat('!', $number + 1) : 'n'.$number;
            $universe[implode(' ', [...\array_slice($words, 0, mt_rand(0, 4)), $last])] = [
                mt_rand(0, 3) === 0 ? null : mt_rand(0, 5) * 10,
                $pages,
            ];
        }
        $topics = $this->topics($universe, 2);
        self::assertSame(self::plain($universe, 2), $topics);
        self::assertSame(self::plain($universe, 3), $this->topics($universe, 3));
        self::assertSame(\count($universe), \count($topics) + array_sum(array_map('count', $topics)), 'Topics partition the universe.');
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 30) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    /**
     * @param array<string, array{?int, list<array{int, string, int}>}> $universe keyword → volume, pages as domain, path, position
     *
     * @return array<string, list<string>>
     */
    private function topics(array $universe, int $evidence = 2): array
    {
        ksort($universe, SORT_STRING);
        $graph = new PageGraph();
        $book = new PageIndex();
        $builder = new TopicBuilder($evidence, self::stemmer(), $graph);
        foreach ($universe as $keyword => [$volume, $pages]) {
            $builder->add($keyword, $volume);
            $book->add($graph->add(self::byDomain($keyword, $pages)));
        }

        $topics = $builder->build($book);
        $all = iterator_to_array($topics->all());
        foreach ($topics->byKeyword() as $keyword => $topic) {
            self::assertContains($keyword, [$topic, ...$all[$topic]], 'Both readings of the topics agree.');
        }

        return $all;
    }

    /**
     * @param list<array{int, string, int}> $pages domain, path, position
     *
     * @return list<list<Ranking>>
     */
    private static function byDomain(string $keyword, array $pages): array
    {
        $rankings = [[], [], [], []];
        usort($pages, static fn(array $one, array $other): int => $one[2] <=> $other[2]);
        foreach ($pages as [$domain, $path, $position]) {
            $rankings[$domain][] = new Ranking($keyword, $position, 'https://d'.$domain.'.example'.$path);
        }

        return array_values($rankings);
    }

    /**
     * @param array<string, array{?int, list<array{int, string, int}>}> $universe
     *
     * @return array<string, list<string>>
     */
    private static function plain(array $universe, int $evidence): array
    {
        $keywords = array_keys($universe);
        usort($keywords, static fn(string $a, string $b): int => ($universe[$b][0] ?? -1) <=> ($universe[$a][0] ?? -1) ?: strcmp($a, $b));
        $topics = [];
        $free = array_flip($keywords);
        foreach ($keywords as $primary) {
            if (! isset($free[$primary])) {
                continue;
            }
            unset($free[$primary]);
            $topics[$primary] = array_values(
                array_filter(
                    array_keys($free),
                    static function (string $other) use ($universe, $primary, $evidence): bool {
                        $found = self::evidence($universe[$primary][1], $universe[$other][1]);

                        return $found >= $evidence || ($found >= 1 && self::areAlike($primary, $other));
                    },
                ),
            );
            $free = array_diff_key($free, array_flip($topics[$primary]));
            sort($topics[$primary]);
        }
        $first = [];
        foreach ($topics as $primary => $others) {
            $stems = self::stems($primary);
            $home = $stems === [] ? $primary : $first[implode(' ', $stems)] ??= $primary;
            if ($others === [] && $home !== $primary) {
                unset($topics[$primary]);
                $topics[$home][] = $primary;
                sort($topics[$home]);
            }
        }

        return self::joined($universe, $topics);
    }

    /**
     * @param array<string, array{?int, list<array{int, string, int}>}> $universe
     * @param array<string, list<string>>                               $topics   in taking order
     *
     * @return array<string, list<string>>
     */
    private static function joined(array $universe, array $topics): array
    {
        $pages = [];
        foreach ($topics as $primary => $others) {
            $pages[$primary] = [];
            foreach ([$primary, ...$others] as $keyword) {
                foreach ($universe[$keyword][1] as [$domain, $path]) {
                    if (! UrlKey::isHomePage('https://x.example'.$path)) {
                        $pages[$primary]["{$domain} {$path}"] = true;
                    }
                }
            }
        }
        $into = $kept = [];
        foreach (array_keys($topics) as $primary) {
            [$home, $most] = [null, 0];
            foreach ($kept as $other) {
                $shared = \count(array_intersect_key($pages[$primary], $pages[$other]));
                if ($shared > $most && self::areRelated($primary, $other)) {
                    [$home, $most] = [$other, $shared];
                }
            }
            if ($home === null) {
                $kept[] = $primary;
            } else {
                $into[$primary] = $home;
            }
        }
        $firstWith = [];
        foreach ($kept as $primary) {
            $page = self::ownBest($universe[$primary][1]);
            if ($page !== null && isset($firstWith[$page])) {
                $into[$primary] = $firstWith[$page];
            } elseif ($page !== null) {
                $firstWith[$page] = $primary;
            }
        }
        $joined = [];
        foreach ($topics as $primary => $others) {
            $home = $into[$primary] ?? $primary;
            $home = $into[$home] ?? $home;
            $joined[$home] = array_merge($joined[$home] ?? [], $others, $home === $primary ? [] : [$primary]);
        }
        foreach ($joined as &$others) {
            sort($others);
        }

        return $joined;
    }

    private static function areRelated(string $one, string $other): bool
    {
        [$a, $b] = [self::stems($one), self::stems($other)];
        $shared = \count(array_intersect($a, $b));

        return min(\count($a), \count($b)) >= 2
            && ($shared === min(\count($a), \count($b)) || $shared / \count(array_unique([...$a, ...$b])) >= .5);
    }

    /** @param list<array{int, string, int}> $pages */
    private static function ownBest(array $pages): ?string
    {
        $best = null;
        foreach ($pages as [$domain, $path, $position]) {
            $isBetter = $domain === 0 && $position <= 20 && ($best === null || $position < $best[0]);
            if ($isBetter) {
                $best = [$position, $path];
            }
        }

        return $best === null || UrlKey::isHomePage('https://x.example'.$best[1]) ? null : $best[1];
    }

    /** @return list<string> */
    private static function stems(string $keyword): array
    {
        $stems = array_unique(array_values(self::stemmer()->stems(Words::of(strtr($keyword, ['’' => "'"])))));
        sort($stems);

        return $stems;
    }

    private static function areAlike(string $one, string $other): bool
    {
        $all = array_unique([...self::stems($one), ...self::stems($other)]);
        $shared = array_intersect(self::stems($one), self::stems($other));

        return $shared !== [] && \count($shared) / \count($all) >= .5;
    }

    /**
     * @param list<array{int, string, int}> $one
     * @param list<array{int, string, int}> $other
     */
    private static function evidence(array $one, array $other): int
    {
        $pages = static fn(array $list): array => array_map(
            static fn(array $page): string => $page[0].' '.$page[1],
            array_filter($list, static fn(array $page): bool => $page[2] <= 20 && !UrlKey::isHomePage('https://x.example'.$page[1])),
        );

        return \count(array_unique(array_map(static fn(string $page): string => $page[0], array_intersect($pages($one), $pages($other)))));
    }

    /** Takes a trailing s off, which is enough to see the rule at work; the real stems are checked against stemwords. */
    private static function stemmer(): Stemmer
    {
        return new class implements Stemmer {
            public function stems(array $words): array
            {
                return array_combine($words, array_map(static fn(string $word): string => rtrim($word, 's'), $words));
            }
        };
    }

    public function test_a_keyword_comes_once(): void
    {
        $builder = new TopicBuilder(2, self::stemmer(), new PageGraph());
        $builder->add('blue pen', 10);
        $builder->add('red pen', 10);
        $this->expectException(InvalidArgument::class);
        $builder->add('red pen', 10);
    }
}
