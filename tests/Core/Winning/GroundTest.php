<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\GroundBook;
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
        self::assertNull(Ground::none()->of);
        self::assertEquals(Ground::none(), Ground::kept(null, null));
        self::assertEquals(Ground::held(3, 8), Ground::kept(3, 8));
        self::assertSame(.33, Ground::held(3, 8)->share());
        self::assertEqualsWithDelta(log(.25 / .75), Ground::logOdds(25), 1e-15);
    }

    public function test_nobody_holds_more_than_there_is(): void
    {
        $this->expectException(Misuse::class);
        Ground::held(4, 3);
    }

    /** Worked by hand: the other's page ranks for four keywords, we rank for two of the three others. */
    public function test_our_ground_is_what_we_hold_of_the_page_that_leads(): void
    {
        $grounds = self::grounds([
            [[], [[1, '/guide']]],
            [[[20, '/x']], [[20, '/guide']]],
            [[[5, '/y']], [[3, '/guide'], [9, '/other']]],
            [[[21, '/z']], [[7, '/guide']]],
        ]);
        self::assertEquals(Ground::held(2, 3), $grounds[0]);
        self::assertEquals(Ground::held(1, 3), $grounds[1]);
    }

    public function test_a_home_page_a_far_page_or_an_unknown_one_leads_nowhere(): void
    {
        foreach ([[[1, '/']], [[21, '/guide']], [[1, null], [2, '/guide']], []] as $theirs) {
            self::assertEquals(Ground::none(), self::grounds([[[], $theirs], [[[1, '/x']], [[1, '/guide']]]])[0]);
        }
    }

    /** A plain version that goes through all keywords for every one of them, on random pages of four domains. */
    #[DataProvider('seeds')]
    public function test_it_agrees_with_a_plain_version(int $seed): void
    {
        mt_srand($seed);
        $universe = [];
        for ($keyword = 0; $keyword < 40; ++$keyword) {
            $domains = [[], [], [], []];
            foreach ($domains as $domain => $none) {
                for ($pages = mt_rand(0, 2); $pages > 0; --$pages) {
                    $domains[$domain][] = [mt_rand(1, 30), [null, '/', '/a', '/b', '/c'][mt_rand(0, 4)]];
                }
                usort($domains[$domain], static fn(array $one, array $other): int => $one[0] <=> $other[0]);
            }
            $universe[] = $domains;
        }
        [$graph, $book] = self::book($universe);
        foreach ($book->grounds() as $keyword => [$hundredths, $own]) {
            $expected = array_map(static fn(int $domain): int => self::plain($universe, $keyword, $domain), [0, 1, 2, 3]);
            self::assertSame($expected, $hundredths);
            self::assertSame($expected[0], $own->hundredths);
        }
        self::assertSame(4, $graph->domainsWithPages());
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 12) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    public function test_pages_are_told_well_enough_when_half_of_the_near_rankings_bear_one(): void
    {
        foreach ([[1, 1, true], [1, 2, false], [0, 0, true]] as [$with, $without, $isTold]) {
            $graph = new PageGraph();
            foreach ([...array_fill(0, $with, '/a'), ...array_fill(0, $without, null), '/far'] as $number => $path) {
                $graph->add([[new Ranking('k', $path === '/far' ? 21 : 20, $path === null ? null : "https://d.example{$path}{$number}")]]);
            }
            self::assertSame($isTold, $graph->isTold());
        }
    }

    /** @param list<list<list<array{int, ?string}>>> $universe */
    private static function plain(array $universe, int $keyword, int $domain): int
    {
        $leading = null;
        foreach ($universe[$keyword] as $other => $pages) {
            [$position, $path] = $pages[0] ?? [99, null];
            $isCounted = $other !== $domain && $position <= 20 && $path !== null && $path !== '/';
            if ($isCounted && ($leading === null || $position < $leading[0])) {
                $leading = [$position, $other, $path];
            }
        }
        if ($leading === null) {
            return 25;
        }
        $held = $of = 0;
        foreach ($universe as $number => $domains) {
            $ranks = array_filter($domains[$leading[1]], static fn(array $page): bool => $page[0] <= 20 && $page[1] === $leading[2]);
            if ($number !== $keyword && $ranks !== []) {
                ++$of;
                $held += ($domains[$domain][0][0] ?? 99) <= 20 ? 1 : 0;
            }
        }

        return (int) min(99, max(1, floor(100 * ($held + 1) / ($of + 4) + .5)));
    }

    /**
     * @param list<list<list<array{int, ?string}>>> $universe keyword → domain → pages, best first
     *
     * @return list<Ground> ours
     */
    private static function grounds(array $universe): array
    {
        return array_map(
            static fn(array $found): Ground => $found[1],
            array_values(iterator_to_array(self::book($universe)[1]->grounds())),
        );
    }

    /**
     * @param list<list<list<array{int, ?string}>>> $universe
     *
     * @return array{PageGraph, GroundBook}
     */
    private static function book(array $universe): array
    {
        $graph = new PageGraph();
        $book = new GroundBook(\count($universe[0]));
        foreach ($universe as $number => $domains) {
            $rankings = array_map(
                static fn(array $pages, int $domain): array => array_map(
                    static fn(array $page): Ranking => new Ranking(
                        'k'.$number,
                        $page[0],
                        $page[1] === null ? null : "https://d{$domain}.example{$page[1]}",
                    ),
                    $pages,
                ),
                $domains,
                array_keys($domains),
            );
            $book->add($graph->add($rankings), array_map(static fn(array $pages): ?int => $pages[0][0] ?? null, $domains));
        }

        return [$graph, $book];
    }

    public function test_who_holds_all_of_very_much_is_still_not_sure(): void
    {
        self::assertSame([99, 1], [Ground::hundredths(5000, 5000), Ground::hundredths(0, 5000)]);
        self::assertTrue(is_finite(Ground::logOdds(99)) && is_finite(Ground::logOdds(1)));
    }
}
