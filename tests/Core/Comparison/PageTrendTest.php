<?php

declare(strict_types=1);

namespace Tests\Core\Comparison;

use GreaterReach\Core\Comparison\PageTrend;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PageTrendTest extends TestCase
{
    public function test_a_change_is_a_share_of_what_it_was(): void
    {
        $trend = new PageTrend(150.0, 100.0, 200.0);
        self::assertSame([.5, -.25], [$trend->overSixMonths(), $trend->overAYear()]);
        self::assertSame(-1.0, (new PageTrend(0.0, 4.0, null))->overSixMonths());
        self::assertSame([null, null], [(new PageTrend(5.0, null, 0.0))->overSixMonths(), (new PageTrend(5.0, null, 0.0))->overAYear()]);
    }

    /** @return iterable<string, array{float, ?float, ?float, bool}> now, then, long ago → fading */
    public static function pages(): iterable
    {
        yield 'a fifth lost' => [80.0, 100.0, null, true];
        yield 'a little less than a fifth' => [80.1, 100.0, null, false];
        yield 'lost within a year only' => [70.0, 70.0, 100.0, true];
        yield 'half of nearly nothing' => [5.0, 10.0, 14.0, false];
        yield 'half of little, but ten visits' => [10.0, 20.0, null, true];
        yield 'ten visits of fifty, a fifth' => [40.0, 50.0, null, true];
        yield 'a little less than ten of fifty' => [40.1, 50.0, null, false];
        yield 'all of ten' => [0.0, 10.0, null, true];
        yield 'all of a little less' => [0.0, 9.9, null, false];
        yield 'growing' => [120.0, 100.0, 90.0, false];
        yield 'new' => [50.0, null, null, false];
    }

    #[DataProvider('pages')]
    public function test_a_page_fades_that_loses_a_fifth_and_ten_visits(float $now, ?float $then, ?float $longAgo, bool $isFading): void
    {
        self::assertSame($isFading, (new PageTrend($now, $then, $longAgo))->isFading());
    }
}
