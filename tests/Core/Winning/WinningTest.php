<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use PHPUnit\Framework\TestCase;

final class WinningTest extends TestCase
{
    public function test_comfort_is_the_mean_with_percentiles_of_type_7(): void
    {
        $comfort = ComfortDifficulty::fromDifficulties([10.0, 20.0, 30.0, 40.0, 50.0, 60.0, 70.0, 80.0, 90.0, 100.0]);
        self::assertEqualsWithDelta([55.0, 55.0, 77.5, 91.0], [$comfort->value, $comfort->p50, $comfort->p75, $comfort->p90], 1e-12);
        self::assertFalse($comfort->isAssumed);
    }

    public function test_comfort_is_assumed_with_fewer_than_ten_keywords(): void
    {
        $comfort = ComfortDifficulty::fromDifficulties(array_fill(0, 9, 80.0));
        self::assertSame([30.0, true, 9, 80.0], [$comfort->value, $comfort->isAssumed, $comfort->keywords, $comfort->p50]);
        self::assertNull(ComfortDifficulty::fromDifficulties([])->p50);
    }

    public function test_comfort_counts_our_first_page_with_enough_volume_and_no_brand(): void
    {
        self::assertTrue(ComfortDifficulty::counts(10, 100, 100));
        self::assertFalse(ComfortDifficulty::counts(11, 100, 100));
        self::assertFalse(ComfortDifficulty::counts(1, 99, 100));
        self::assertFalse(ComfortDifficulty::counts(1, null, 100));
    }

    public function test_links_come_from_page_one_then_from_the_fit_then_from_an_assumption(): void
    {
        $assumed = LinksNeeded::fit([10.0], [5.0]);
        self::assertTrue($assumed->isAssumed);
        self::assertEqualsWithDelta(exp(.06 * 50) - 1, $assumed->needed(null, 50.0), 1e-12);
        self::assertSame(12.5, $assumed->needed(12.5, 50.0));
        self::assertNull($assumed->toEarn(null, null, 3));
        self::assertSame([10, 0], [$assumed->toEarn(12.5, null, 3), $assumed->toEarn(12.5, null, 99)]);
        $difficulties = array_map(floatval(...), range(1, 20));
        $fitted = LinksNeeded::fit(
            $difficulties,
            array_map(static fn(float $difficulty): float => exp(0.5 + 0.04 * $difficulty) - 1, $difficulties),
        );
        self::assertEqualsWithDelta([0.5, 0.04], [$fitted->intercept, $fitted->slope], 1e-9);
    }

    public function test_links_are_fitted_from_ten_keywords_on(): void
    {
        $difficulties = [10.0, 20.0, 30.0, 40.0, 50.0, 60.0, 70.0, 80.0, 90.0, 100.0];
        $medians = array_map(static fn(float $difficulty): float => exp(.5 + .04 * $difficulty) - 1, $difficulties);
        $fitted = LinksNeeded::fit($difficulties, $medians);
        self::assertSame([10, false], [$fitted->keywords, $fitted->isAssumed]);
        self::assertEqualsWithDelta([.5, .04], [$fitted->intercept, $fitted->slope], 1e-9);
        $assumed = LinksNeeded::fit(\array_slice($difficulties, 1), \array_slice($medians, 1));
        self::assertSame([0.0, .06, 9, true], [$assumed->intercept, $assumed->slope, $assumed->keywords, $assumed->isAssumed]);
    }
}
