<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Plan\Drift;
use PHPUnit\Framework\TestCase;

/** What would have come without our work, calculated by hand. */
final class DriftTest extends TestCase
{
    public function test_without_a_keyword_nothing_drifts(): void
    {
        self::assertSame(1.0, (new Drift())->ratio(12));
        $drift = new Drift();
        $drift->add('/a', 12, 0.0, 0.0);
        self::assertSame(1.0, $drift->ratio(12));
    }

    public function test_thirty_keywords_of_the_same_places_speak_for_themselves_fewer_go_with_all(): void
    {
        $drift = new Drift();
        // 30 keywords at 11 to 20 that lost a tenth, 29 at 4 to 5 that doubled: 290 visits, then 580.
        for ($number = 0; $number < 30; ++$number) {
            $drift->add("/a{$number}", 12, 10.0, 9.0);
        }
        for ($number = 0; $number < 29; ++$number) {
            $drift->add("/b{$number}", 4, 10.0, 20.0);
        }
        self::assertSame(.9, $drift->ratio(15));
        self::assertSame(850 / 590, $drift->ratio(4));
        self::assertSame(850 / 590, $drift->ratio(null));
        $drift->add('/b29', 4, 10.0, 20.0);
        self::assertSame(2.0, $drift->ratio(4));
    }

    public function test_a_page_that_changed_no_more_than_nine_in_ten_of_its_size_has_no_clear_change(): void
    {
        $drift = new Drift();
        // Eleven pages of 100 visits that moved by 0, 1 … 10: the 90th percentile of these lies at 9.
        for ($swing = 0; $swing <= 10; ++$swing) {
            $drift->add("/{$swing}", 12, 100.0, 100.0 + ($swing % 2 === 0 ? $swing : -$swing));
        }
        self::assertSame([true, true, false], array_map(
            static fn(float $net): bool => $drift->isUnclear($net, 100.0, 1.0),
            [9.0, -9.0, 9.1],
        ));
        // Half and double the size still count, beyond them nothing can be compared.
        self::assertSame([false, false], [$drift->isUnclear(9.5, 50.0, 1.0), $drift->isUnclear(9.5, 200.0, 1.0)]);
        self::assertSame([true, false], [$drift->isUnclear(10.0, 49.0, 1.0), $drift->isUnclear(10.1, 201.0, 1.0)]);
    }

    public function test_the_keywords_of_a_page_swing_together_and_less_what_drifted(): void
    {
        $drift = new Drift();
        // Ten pages of two keywords, 40 visits, all of which lost a quarter, one of them 4 visits more.
        for ($number = 0; $number < 10; ++$number) {
            $drift->add("/{$number}", 12, 30.0, 22.5);
            $drift->add("/{$number}", 18, 10.0, $number === 0 ? 3.5 : 7.5);
        }
        // Swings: nine of 0 and one of 4; the 90th percentile lies a tenth of the way to 4.
        self::assertTrue($drift->isUnclear(.4, 40.0, .75));
        self::assertFalse($drift->isUnclear(.41, 40.0, .75));
    }
}
