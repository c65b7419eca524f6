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
        self::assertEqualsWithDelta(
            0.72 * 5_000,
            \count($rankings),
            4 * sqrt(5_000 * 0.72 * 0.28),
            'Four standard errors of a binomial draw.',
        );
        self::assertSame(
            [],
            array_filter(
                $rankings,
                static fn(array $row): bool => $row[1] < 1 ||
                    $row[1] > 100 ||
                    !str_starts_with((string) $row[2], 'https://apiary-1.example/'),
            ),
        );
        foreach ($market->domainRows() as [, $authority]) {
            self::assertThat($authority, self::logicalAnd(self::greaterThanOrEqual(20), self::lessThanOrEqual(80)));
        }
    }
}
