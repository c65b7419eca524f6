<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\Forecast;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Season;
use PHPUnit\Framework\TestCase;

/**
 * Does the 10–90 band hold its promise? Two hundred made-up markets, each with a plan of its own; what then happens is
 * drawn here, with a generator and a normal method of this test's own. Eight of ten outcomes should lie inside.
 *
 * The band is a set of quantiles of the same law, so the share inside is binomial with p = .8 but for the steps that a
 * sum over few items makes: four standard errors of 200 draws are .113.
 */
final class ForecastPromiseTest extends TestCase
{
    private const MARKETS = 200;
    private const ITEMS = 15;

    public function test_about_eight_of_ten_outcomes_lie_inside_the_band(): void
    {
        mt_srand(20_261_123);
        $inside = 0;
        for ($seed = 1; $seed <= self::MARKETS; ++$seed) {
            $items = $this->plan();
            $band = (new Forecast(2000, .3, $seed))->bands($items, [Month::parse('2027-08')])[0];
            $happened = 0.0;
            foreach ($items as $item) {
                $happened += self::draw() < $item->winChance ? $item->visitsIn(Month::parse('2027-08')) * exp(.3 * self::normal()) : 0.0;
            }
            $inside += (int) ($happened >= $band->p10 && $happened <= $band->p90);
        }
        self::assertEqualsWithDelta(.8, $inside / self::MARKETS, .113, "{$inside} of 200 inside");
    }

    public function test_a_band_that_promises_too_much_is_found_out(): void
    {
        mt_srand(7);
        $inside = 0;
        for ($seed = 1; $seed <= self::MARKETS; ++$seed) {
            $items = $this->plan();
            // Win chances that are believed to be twice what they are.
            $believed = array_map(
                static fn(ForecastItem $item): ForecastItem => new ForecastItem(
                    $item->gain,
                    min(1.0, 2 * $item->winChance),
                    $item->season,
                    $item->done,
                    $item->ramp,
                ),
                $items,
            );
            $band = (new Forecast(500, 0.3, $seed))->bands($believed, [Month::parse('2027-08')])[0];
            $happened = array_sum(
                array_map(
                    static fn(ForecastItem $item): float => self::draw() < $item->winChance
                        ? $item->visitsIn(Month::parse('2027-08')) * exp(0.3 * self::normal())
                        : 0.0,
                    $items,
                ),
            );
            $inside += (int) ($happened >= $band->p10 && $happened <= $band->p90);
        }
        self::assertLessThan(0.6, $inside / self::MARKETS);
    }

    /** @return list<ForecastItem> */
    private function plan(): array
    {
        $items = [];
        for ($number = 0; $number < self::ITEMS; ++$number) {
            $monthly = array_map(static fn(): int => mt_rand(50, 150), range(1, 12));
            $items[] = new ForecastItem(
                exp(4 + self::normal()),
                0.05 + 0.8 * self::draw(),
                Season::of(new Metrics(100, monthly: $monthly)),
                Month::parse('2027-0'.mt_rand(1, 6)),
                mt_rand(1, 4),
            );
        }

        return $items;
    }

    private static function draw(): float
    {
        return mt_rand() / (mt_getrandmax() + 1);
    }

    /** Marsaglia's polar method (Marsaglia and Bray 1964). */
    private static function normal(): float
    {
        do {
            [$u, $v] = [2 * self::draw() - 1, 2 * self::draw() - 1];
            $s = $u * $u + $v * $v;
        } while ($s >= 1 || $s === 0.0);

        return $u * sqrt(-2 * log($s) / $s);
    }
}
