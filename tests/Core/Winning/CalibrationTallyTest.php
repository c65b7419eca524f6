<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Winning\Calibration;
use GreaterReach\Core\Winning\CalibrationTally;
use PHPUnit\Framework\TestCase;

/** What was said and seen, added up by hand (Brier 1950: the mean of squared differences). */
final class CalibrationTallyTest extends TestCase
{
    public function test_rows_go_into_the_bin_of_what_was_said_of_them(): void
    {
        $tally = new CalibrationTally(10);
        $tally->add(0.0, [0 => 1]);
        $tally->add(0.35, [0 => 3, $tally->class => 1, $tally->class + 1 => 4]);
        $tally->add(1.0, [0 => 2]);
        $bins = $tally->bins();
        $some = (int) (.35 * Calibration::BINS);
        self::assertSame([1, 8, 2], [$bins[0]['rows'], $bins[$some]['rows'], $bins[Calibration::BINS - 1]['rows']]);
        self::assertSame(11, array_sum(array_column($bins, 'rows')));
        self::assertSame(.5, $bins[$some]['observed']);
        self::assertEqualsWithDelta(.35, $bins[$some]['predicted'], 1e-12);
        // 1 × (1 − 0)² + 4 × (1 − .35)² + 4 × .35² + 2 × 0
        self::assertEqualsWithDelta((1 + 4 * .65 ** 2 + 4 * .35 ** 2) / 11, $tally->brier(), 1e-12);
    }

    public function test_the_base_says_the_share_of_the_others(): void
    {
        $tally = new CalibrationTally(10);
        $none = array_fill(0, $tally->class, 0);
        // One in the class that ends at the bound and two beyond it; of the others three in the first and one beyond.
        $tally->addBase([...$none, 1, 2], [3, ...$none, 1]);
        $tally->add(.5, [0 => 3]);
        // Three of four of the others are within: 1 × (1 − .75)² + 2 × .75²
        self::assertEqualsWithDelta((.25 ** 2 + 2 * .75 ** 2) / 3, $tally->base(), 1e-12);
    }

    public function test_without_rows_nothing_is_known(): void
    {
        $tally = new CalibrationTally(10);
        self::assertNull($tally->brier());
        self::assertNull($tally->base());
        self::assertNull($tally->bins()[0]['predicted']);
        $tally->addBase([1], [0]);
        self::assertNull($tally->base());
    }

    public function test_bins_lie_side_by_side_from_0_to_1(): void
    {
        $bins = (new CalibrationTally(10))->bins();
        self::assertCount(Calibration::BINS, $bins);
        self::assertSame([0.0, 1.0], [(float) $bins[0]['from'], (float) $bins[Calibration::BINS - 1]['to']]);
        for ($bin = 1; $bin < Calibration::BINS; ++$bin) {
            self::assertSame((float) $bins[$bin - 1]['to'], (float) $bins[$bin]['from']);
            self::assertEqualsWithDelta(1 / Calibration::BINS, $bins[$bin]['to'] - $bins[$bin]['from'], 1e-12);
        }
    }

    public function test_where_the_others_have_no_rows_the_base_says_nought(): void
    {
        $tally = new CalibrationTally(10);
        $tally->addBase([3, 1], [0]);
        $tally->add(.5, [0 => 4]);
        // Each of the four was said to have no chance.
        self::assertEqualsWithDelta(1.0, $tally->base(), 1e-12);
    }

    public function test_a_promise_is_held_against_three_ten_and_twenty_in_ten_parts(): void
    {
        self::assertSame([3, 10, 20], Calibration::BOUNDS);
        self::assertCount(10, (new CalibrationTally(10))->bins());
    }
}
