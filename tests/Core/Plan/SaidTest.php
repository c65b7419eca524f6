<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Said;
use GreaterReach\Core\Plan\SaidKeyword;
use GreaterReach\Core\Plan\Season;
use PHPUnit\Framework\TestCase;

/** What was said of a page is kept, and what came of it is held against nothing else. */
final class SaidTest extends TestCase
{
    public function test_it_is_kept_to_the_last_bit(): void
    {
        $said = self::said();
        $kept = json_decode(json_encode($said->toArray(), JSON_THROW_ON_ERROR), true, 8, JSON_THROW_ON_ERROR);
        self::assertEquals($said, Said::fromArray($kept));
        self::assertSame($said->gains->toArray(), Said::fromArray($kept)->gains->toArray());
    }

    public function test_what_was_kept_before_there_was_more_to_keep_is_read(): void
    {
        $said = Said::fromArray(['lead' => 'pen', 'reach' => .4, 'target' => 3]);
        self::assertSame(['pen', .4, 3, null, 0.0], [$said->lead, $said->reach, $said->target, $said->band, $said->gains->mean()]);
        self::assertSame(0.0, $said->added(['pen' => 1]), 'Without keywords nothing is added.');
    }

    public function test_visits_are_added_by_positions_alone(): void
    {
        $curve = CtrCurve::default();
        $said = self::said();
        self::assertEqualsWithDelta(1000 * $curve->at(12) + 0, $said->visitsThen(), 1e-9);
        self::assertEqualsWithDelta(0.0, $said->added(['pen' => 12]), 1e-9, 'It did not move.');
        self::assertEqualsWithDelta(
            1000 * ($curve->at(2) - $curve->at(12)) + 500 * $curve->at(9),
            $said->added(['pen' => 2, 'best pen' => 9, 'other' => 1]),
            1e-9,
        );
        self::assertEqualsWithDelta(-1000 * $curve->at(12), $said->added([]), 1e-9, 'It fell out.');
    }

    public function test_a_target_is_reached_at_it_or_above(): void
    {
        $said = self::said();
        self::assertSame([true, true, false, false], array_map($said->isReached(...), [1, 3, 4, null]));
        self::assertNull(Said::fromArray(['lead' => 'pen'])->isReached(1));
    }

    public function test_its_distribution_is_kept_in_few_steps_with_the_same_mean(): void
    {
        $ends = array_map(static fn(int $step): float => ($step / 1000) ** 2, range(1, 900));
        $gains = array_map(static fn(int $step): float => 1000 / $step, range(1, 900));
        $whole = PlaceGains::kept($ends, $gains);
        $few = $whole->inSteps(50);
        self::assertCount(50, $few->toArray()['ends']);
        self::assertEqualsWithDelta($whole->mean(), $few->mean(), 1e-9);
        self::assertEqualsWithDelta($whole->at(.5), $few->at(.5), .02 * $whole->at(.5));
        self::assertSame(0.0, $few->at(.99), 'Beyond the last step nothing is gained.');
        self::assertSame($few, $few->inSteps(50));
    }

    public function test_a_year_has_twelve_indices(): void
    {
        $this->expectException(Misuse::class);
        Season::ofIndices([1, 2]);
    }

    public function test_a_share_of_a_band_is_a_share_of_all_it_says(): void
    {
        self::assertEquals(new Band(1, 2, 3, 2.25), (new Band(4, 8, 12, 9))->times(.25));
    }

    private static function said(): Said
    {
        return new Said(
            Month::parse('2026-11'),
            'pen',
            1 / 3,
            1 / 6,
            12.3,
            90.0,
            12,
            3,
            .5,
            2,
            PlaceGains::kept([.1, 1 / 3], [90.1, 10.7]),
            new Band(0, 4, 80.5, 12.3),
            Season::ofIndices([1, 1, 1, 1, 1, 1, 2, .5, .5, 1, 1, 1]),
            CtrCurve::default(),
            [
                new SaidKeyword('pen', 12, 1000.0, 1000 * CtrCurve::default()->at(12)),
                new SaidKeyword('best pen', null, 500.0, 0.0),
                new SaidKeyword('unknown pen', 5, null, null),
            ],
        );
    }
}
