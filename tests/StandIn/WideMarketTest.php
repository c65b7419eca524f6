<?php

declare(strict_types=1);

namespace Tests\StandIn;

use PHPUnit\Framework\TestCase;
use StandIn\WideMarket;

final class WideMarketTest extends TestCase
{
    public function test_a_seed_makes_the_same_market_and_no_keyword_twice(): void
    {
        $rows = static fn(int $seed): array => iterator_to_array((new WideMarket(20_000, 3, $seed))->keywordRows(), false);
        self::assertSame($rows(1), $rows(1));
        self::assertNotSame($rows(1), $rows(2));
        self::assertCount(20_000, array_unique(array_column($rows(1), 0)));
    }

    public function test_positions_and_figures_lie_in_their_ranges(): void
    {
        $market = new WideMarket(5_000, 3, 7);
        $rankings = iterator_to_array($market->rankingRows(1), false);
        self::assertThat(\count($rankings), self::logicalAnd(self::greaterThan(2_000), self::lessThan(3_500)));
        self::assertSame(
            [],
            array_filter(
                $rankings,
                static fn(array $row): bool => $row[1] < 1 ||
                    $row[1] > 100 ||
                    !str_starts_with((string) $row[2], 'https://apiary-1.example/'),
            ),
        );
        self::assertSame([38, 41, 36], array_column(iterator_to_array($market->domainRows(), false), 1), 'Ours first.');
    }

    /** As the small market: a long tail, and an established shop with most of its keywords beyond page one. */
    public function test_it_has_the_shares_of_a_real_market(): void
    {
        $market = new WideMarket(60_000, 6, 3);
        $volumes = array_column(iterator_to_array($market->keywordRows(), false), 1);
        self::assertEqualsWithDelta(.75, \count(array_filter($volumes, static fn($volume): bool => $volume <= 50)) / 60_000, .08);
        self::assertGreaterThan(0, \count(array_filter($volumes, static fn($volume): bool => $volume >= 10_000)));
        $positions = array_column(iterator_to_array($market->rankingRows(0), false), 1);
        $share = static fn(int $from, int $to): float => \count(
            array_filter($positions, static fn($position): bool => $position >= $from && $position <= $to),
        ) / \count($positions);
        self::assertEqualsWithDelta(.045, $share(1, 3), .015);
        self::assertEqualsWithDelta(.11, $share(4, 10), .03);
        self::assertEqualsWithDelta(.125, $share(11, 20), .025);
    }
}
