<?php

declare(strict_types=1);

namespace Tests\Core\Clicks;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\CurveFit;
use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Clicks\ShareOfClicks;
use GreaterReach\Core\Exception\InvalidValue;
use PHPUnit\Framework\TestCase;

final class ClicksTest extends TestCase
{
    /** Values of Chitika Insights 2013 and of Pass, Chowdhury and Torgeson 2006, both from memory. */
    public function test_places_are_told_beside_the_first(): void
    {
        $curve = CtrCurve::default();
        $beside = $curve->besideFirst();
        self::assertSame(1.0, $beside[0]);
        self::assertEqualsWithDelta($curve->at(7) / $curve->at(1), $beside[6], 1e-15);
        self::assertCount(\count($curve->rates()), $beside);
    }

    public function test_the_curves_have_the_published_values_and_the_stated_tails(): void
    {
        self::assertSame([.325, .114, .024, .004], array_map(CtrCurve::default()->at(...), [1, 3, 10, 15]));
        self::assertEqualsWithDelta(.004 * (15 / 40) ** 2, CtrCurve::default()->at(40), 1e-15);
        self::assertSame([.423, .084, .028], array_map(CtrCurve::queryLog2006()->at(...), [1, 3, 10]));
        self::assertEqualsWithDelta(.0066 * (11 / 12) ** 2, CtrCurve::queryLog2006()->at(12), 1e-15);
    }

    public function test_a_curve_never_rises_and_is_0_beyond_100(): void
    {
        foreach ([CtrCurve::default(), CtrCurve::queryLog2006(), $this->fitted()] as $curve) {
            for ($position = 1; $position < 100; ++$position) {
                self::assertGreaterThanOrEqual($curve->at($position + 1), $curve->at($position));
            }
            self::assertSame(0.0, $curve->at(101));
        }
    }

    /** Facts of the trade, common practice. */
    public function test_the_curve_tells_what_the_trade_knows(): void
    {
        $visits = static fn(int $position): float => 1000 * CtrCurve::default()->at($position);
        self::assertLessThan(40, $visits(6) - $visits(9), 'Sixth to ninth differ little.');
        self::assertGreaterThan(250, $visits(1) - $visits(6), 'The first differs drastically.');
        self::assertLessThan(11, $visits(11), 'Page two brings little.');
        self::assertLessThan(.2, $visits(100), 'Position 100 brings nothing.');
    }

    public function test_a_hand_made_curve_is_checked(): void
    {
        $rates = CtrCurve::default()->rates();
        self::assertSame($rates, CtrCurve::ofRates($rates)->rates());
        foreach ([\array_slice($rates, 1), [...\array_slice($rates, 0, 99), .5], [1.2, ...\array_slice($rates, 1)]] as $bad) {
            try {
                CtrCurve::ofRates($bad);
                self::fail('A bad curve was taken.');
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('CTR', $problem->getMessage());
            }
        }
    }

    public function test_potential_is_volume_times_rate(): void
    {
        $potential = Potential::of(1000, 9, 3, CtrCurve::default());
        self::assertEqualsWithDelta(
            [26.0, 325.0, 88.0, 299.0],
            [$potential->visitsNow, $potential->potential, $potential->gain, $potential->gainToFirst],
            1e-9,
        );
        self::assertEqualsWithDelta(44.0, $potential->gainValue(0.5), 1e-9);
        self::assertEqualsWithDelta([1.76, 52.8], [$potential->conversions(0.02), $potential->revenue(0.02, 30.0)], 1e-9);
        self::assertNull($potential->revenue(0.02, null));
        self::assertNull(Potential::of(null, 9, 3, CtrCurve::default())->revenue(0.02, 30.0));
    }

    public function test_who_stands_at_the_target_aims_one_higher(): void
    {
        self::assertSame([3, 2, 1, 1, 3], array_map(static fn(?int $position): int => Potential::target($position, 3), [4, 3, 2, 1, null]));
    }

    public function test_a_target_below_the_position_gains_nothing(): void
    {
        self::assertSame(0.0, Potential::of(0, 5, 3, CtrCurve::default())->gain);
        self::assertGreaterThan(
            0,
            Potential::of(100, 5, 90, CtrCurve::default())->gain,
            'A target worse than the position is moved one above it.',
        );
    }

    public function test_unknown_volume_is_unknown_and_absence_is_no_visit(): void
    {
        $absent = Potential::of(null, null, 3, CtrCurve::default());
        self::assertSame([0.0, null, null, null], [$absent->visitsNow, $absent->potential, $absent->gain, $absent->gainToFirst]);
        self::assertNull(Potential::of(null, 5, 3, CtrCurve::default())->visitsNow);
    }

    public function test_a_fit_without_data_is_the_default_curve(): void
    {
        $fit = new CurveFit();
        $fit->add(1.2, 90, 199);
        self::assertSame(CtrCurve::default()->rates(), $fit->curve()->rates());
    }

    /** The formula of one bin: (Σclicks + k·default) ÷ (Σimpressions + k), then the tail at the ratio of the last bin. */
    public function test_a_bin_is_shrunk_towards_the_default_curve(): void
    {
        $fit = new CurveFit(500);
        $fit->add(.5, 600, 1500);
        $curve = $fit->curve();
        $first = (600 + 500 * .325) / 2000;
        self::assertEqualsWithDelta($first, $curve->at(1), 1e-12);
        self::assertEqualsWithDelta(.176 * $first / .325, $curve->at(2), 1e-12);
        self::assertEqualsWithDelta(CtrCurve::default()->at(50) * $first / .325, $curve->at(50), 1e-12);
    }

    public function test_positions_are_rounded_half_up_and_those_beyond_20_are_left_out(): void
    {
        $fit = new CurveFit();
        foreach ([1.49, 1.5, 20.49, 20.5, .4] as $position) {
            $fit->add($position, 1, 10);
        }
        $impressions = array_filter(array_column($fit->bins(), 'impressions'));
        self::assertSame([0 => 10, 1 => 10, 19 => 10], $impressions);
    }

    public function test_shares_of_clicks_sum_to_one(): void
    {
        $shares = new ShareOfClicks(3, CtrCurve::default());
        $shares->add(1000, [1, 2, null]);
        $shares->add(null, [1, 1, 1]);
        $shares->add(100, [null, 50, 3]);
        self::assertEqualsWithDelta(1.0, array_sum($shares->shares()), 1e-12);
        self::assertSame([null, null], (new ShareOfClicks(2, CtrCurve::default()))->shares());
    }

    private function fitted(): CtrCurve
    {
        $fit = new CurveFit();
        foreach (range(1, 20) as $position) {
            $fit->add($position, (int) (900 / $position ** .7) + 40 * ($position % 3), 3000);
        }

        return $fit->curve();
    }

    public function test_where_the_rates_rise_places_are_joined_by_their_impressions(): void
    {
        $fit = new CurveFit(0.0);
        // .2 of 9,000 and .4 of 1,000 become .22 of both.
        $fit->add(1.0, 1800, 9000);
        $fit->add(2.0, 400, 1000);
        self::assertEqualsWithDelta([.22, .22], [$fit->curve()->at(1), $fit->curve()->at(2)], 1e-12);
    }

    public function test_a_place_is_measured_from_two_hundred_impressions_on(): void
    {
        foreach ([199 => false, 200 => true] as $impressions => $isMeasured) {
            $fit = new CurveFit(0.0);
            $fit->add(1.0, 100, $impressions);
            self::assertSame($isMeasured, $fit->curve()->at(1) !== CtrCurve::default()->at(1), (string) $impressions);
        }
    }

    public function test_what_is_wrong_with_a_curve_is_said_with_its_place(): void
    {
        $rates = array_fill(0, 100, .1);
        $wrong = [
            'CTR at position 7' => [...array_slice($rates, 0, 6), .2, ...array_slice($rates, 7)],
            'CTR at position 1' => [1.5, ...array_slice($rates, 1)],
        ];
        foreach ($wrong as $where => $curve) {
            try {
                CtrCurve::ofRates($curve);
                self::fail('It was taken.');
            } catch (InvalidValue $refused) {
                self::assertStringContainsString($where, $refused->getMessage());
            }
        }
        $steep = CtrCurve::ofRates([1.0, ...array_fill(0, 99, 0.0)]);
        self::assertSame([1.0, 0.0], [$steep->at(1), $steep->at(2)]);
    }
}
