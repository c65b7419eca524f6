<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Meaning\StemSets;
use GreaterReach\Core\Meaning\Topics;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\GroundIndex;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class GroundTest extends TestCase
{
    public function test_the_share_is_rounded_half_up_to_hundredths_and_never_0_or_1(): void
    {
        self::assertSame([25, 20, 50, 13, 97, 1], [
            Ground::hundredths(0, 0),
            Ground::hundredths(0, 1),
            Ground::hundredths(4, 6),
            // 1 ÷ 8 is .125.
            Ground::hundredths(0, 4),
            Ground::hundredths(100, 100),
            Ground::hundredths(0, 1000),
        ]);
        self::assertSame(25, Ground::none()->hundredths);
        self::assertSame(0, Ground::none()->of);
        self::assertSame(.33, Ground::held(3, 8)->share());
        self::assertEqualsWithDelta(log(.25 / .75), Ground::logOdds(25), 1e-15);
    }

    public function test_nobody_holds_more_than_there_is(): void
    {
        $this->expectException(InvalidArgument::class);
        Ground::held(4, 3);
    }

    /**
     * Worked by hand: "bee hive" is related to "bee suit" by `bee`, and to "hive stand" by `hive`. We rank in the top 20 for one of the two
     * keywords of the first, and for the one of the second.
     */
    public function test_our_ground_is_what_we_hold_in_topics_that_share_a_word(): void
    {
        $book = self::book(
            ['bee hive', 'bee suit', 'hive stand', 'ink'],
            [0 => 0, 1 => 1, 2 => 1, 3 => 2, 4 => 3],
            [[3], [20], [21], [1], [1]],
        );
        self::assertEquals(Ground::held(2, 3), $book->own(0));
        self::assertEquals(Ground::held(1, 1), $book->own(1), 'Of "bee hive" alone.');
        self::assertEquals(Ground::none(), $book->own(3));
        self::assertSame(Ground::hundredths(2, 3), $book->hundredths(0, 0));
    }

    public function test_a_topic_that_shares_two_words_counts_twice(): void
    {
        $book = self::book(['bee hive', 'bee hive stand'], [0 => 0, 1 => 1], [[3], [9]]);
        self::assertEquals(Ground::held(2, 2), $book->own(0));
    }

    /** Up to thirty topics a stem relates; with one more it says nothing. */
    public function test_a_word_in_too_many_names_relates_nothing(): void
    {
        foreach ([30 => 29, 31 => 0] as $count => $of) {
            $names = array_map(static fn(int $number): string => "bee w{$number}", range(1, $count));
            $book = self::book($names, range(0, $count - 1), array_fill(0, $count, [1]));
            self::assertSame($of, $book->own(0)->of);
            self::assertCount($of === 0 ? 1 : 0, $book->commonStems());
        }
    }

    /** A plain version that goes through all topics for every one of them. */
    #[DataProvider('seeds')]
    public function test_it_agrees_with_a_plain_version(int $seed): void
    {
        mt_srand($seed);
        $words = ['bee', 'hive', 'suit', 'wax', 'queen', 'smoker'];
        $names = $topicOf = $positions = [];
        for ($topic = 0; $topic < 25; ++$topic) {
            $names[] = implode(' ', array_unique(array_map(static fn(): string => $words[mt_rand(0, 5)], range(0, mt_rand(0, 2)))));
            for ($keyword = mt_rand(1, 4); $keyword > 0; --$keyword) {
                $topicOf[] = $topic;
                $positions[] = array_map(static fn(): ?int => mt_rand(0, 2) === 0 ? null : mt_rand(1, 40), [0, 1, 2]);
            }
        }
        $book = self::book($names, $topicOf, $positions);
        foreach (array_keys($names) as $topic) {
            foreach ([0, 1, 2] as $domain) {
                $held = $of = 0;
                foreach ($topicOf as $keyword => $other) {
                    $shared = \count(array_intersect(explode(' ', $names[$topic]), explode(' ', $names[$other])));
                    $of += $other === $topic ? 0 : $shared;
                    $held += $other === $topic || ($positions[$keyword][$domain] ?? 99) > 20 ? 0 : $shared;
                }
                self::assertSame(Ground::hundredths($held, $of), $book->hundredths($topic, $domain));
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 12) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    public function test_pages_of_a_domain_are_told_well_enough_when_half_of_its_near_rankings_bear_one(): void
    {
        foreach ([[1, 1, true], [1, 2, false], [0, 0, true]] as [$with, $without, $isTold]) {
            $graph = new PageGraph();
            foreach ([...array_fill(0, $with, '/a'), ...array_fill(0, $without, null), '/far'] as $number => $path) {
                $url = $path === null ? null : "https://d.example{$path}{$number}";
                $graph->add([[], [new Ranking('k', $path === '/far' ? 21 : 20, $url)]]);
            }
            self::assertSame([true, $isTold], [$graph->isTold(0), $graph->isTold(1)]);
        }
    }

    /**
     * @param list<string>        $names     of the topics, in taking order
     * @param array<int, int>     $topicOf   keyword → topic
     * @param list<list<?int>>    $positions keyword → position of each domain
     */
    private static function book(array $names, array $topicOf, array $positions): GroundIndex
    {
        $book = new GroundIndex(\count($positions[0]));
        array_walk($positions, static fn(array $ofKeyword) => $book->add($ofKeyword));
        $stemmer = new class implements Stemmer {
            public function stems(array $words): array
            {
                return array_combine($words, $words);
            }
        };
        // The first keyword of each topic bears its name.
        $keywords = array_fill(0, \count($topicOf), 'other');
        $primaries = [];
        foreach ($names as $topic => $name) {
            $primaries[$topic] = (int) array_search($topic, $topicOf, true);
            $keywords[$primaries[$topic]] = $name;
        }
        $primaryOf = array_map(static fn(int $topic): int => $primaries[$topic], $topicOf);
        $keywords = array_values($keywords);
        $topics = new Topics($keywords, $primaryOf, array_values($primaries), StemSets::of($keywords, $stemmer));
        $book->settle($topics, array_values($topicOf));

        return $book;
    }
}
