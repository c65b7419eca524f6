<?php

declare(strict_types=1);

namespace Tests\Core\Meaning;

use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\TopicBuilder;
use GreaterReach\Core\Pages\PageGraph;
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
            // Two of five.
            'bee hive kit for garden' => [40, [[0, '/hive', 4]]],
            // Alike, but no page is shared.
            'hives for bees' => [30, [[1, '/hives', 1]]],
        ]);
        self::assertSame(
            ['bee hive' => ['bee hives kit wood'], 'bee hive kit for garden' => [], 'hives for bees' => []],
            $topics,
        );
    }

    public function test_an_apostrophe_is_one_however_it_is_written(): void
    {
        $pages = [[0, '/a', 1]];
        $topics = $this->topics([
            "bee's smoker" => [9, [...$pages, [1, '/b', 1]]],
            'bee’s smoker' => [8, []],
            '!!' => [7, $pages],
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
        $this->expectException(Misuse::class);
        $builder = new TopicBuilder(2, self::stemmer(), new PageGraph());
        $builder->add('b', 1);
        $builder->add('a', 1);
    }

    public function test_an_empty_study_has_no_topics(): void
    {
        self::assertSame(0, (new TopicBuilder(2, self::stemmer(), new PageGraph()))->build()->count());
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
        $builder = new TopicBuilder($evidence, self::stemmer(), $graph);
        foreach ($universe as $keyword => [$volume, $pages]) {
            $builder->add($keyword, $volume);
            $graph->add(self::byDomain($keyword, $pages));
        }

        $topics = $builder->build();
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

        return $topics;
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
        $this->expectException(Misuse::class);
        $builder->add('red pen', 10);
    }
}
