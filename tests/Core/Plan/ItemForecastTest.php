<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\ForecastKeyword;
use GreaterReach\Core\Plan\ItemForecast;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlaceChances;
use GreaterReach\Core\Winning\Shifts;
use PHPUnit\Framework\TestCase;

/** What was said of a page is kept, and what came of it is held against nothing else. */
final class ItemForecastTest extends TestCase
{
    public function test_it_is_kept_to_the_last_bit(): void
    {
        $said = self::said();
        $kept = json_decode(json_encode($said->toArray(), JSON_THROW_ON_ERROR), true, 8, JSON_THROW_ON_ERROR);
        self::assertEquals($said, ItemForecast::fromArray($kept));
        self::assertSame(self::fingerprint($said), self::fingerprint(ItemForecast::fromArray($kept)));
    }

    public function test_what_was_kept_before_there_was_more_to_keep_is_read(): void
    {
        $said = ItemForecast::fromArray(['lead' => 'pen', 'target' => 3]);
        self::assertSame(['pen', null, 3, null, null], [$said->lead, $said->kind, $said->target, $said->band, $said->finished(1)]);
        self::assertSame(0.0, $said->promise('pen', Month::parse('2026-12'))->expectedGain(new Shifts(0.0, 0.0)));
        self::assertSame(0.0, $said->added(['pen' => 1]), 'Without keywords nothing is added.');
    }

    public function test_it_teaches_by_the_lead_unless_it_was_a_title_test(): void
    {
        $finished = self::said()->finished(4);
        self::assertNotNull($finished);
        self::assertSame(
            [PageKind::Existing, 12, 3, .35, 4],
            [$finished->kind, $finished->position, $finished->target, $finished->movingShare, $finished->now],
        );
        $title = ItemForecast::fromArray([...self::said()->toArray(), 'title_success' => .5]);
        self::assertSame([null, null], [$title->finished(4), $title->isReached(1)]);
        $unknown = ItemForecast::fromArray([...self::said()->toArray(), 'lead' => 'unknown pen']);
        self::assertNull($unknown->finished(4), 'Nothing was known of its difficulty.');
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
        self::assertNull(ItemForecast::fromArray(['lead' => 'pen'])->isReached(1));
    }

    public function test_a_year_has_twelve_indices(): void
    {
        $this->expectException(InvalidArgument::class);
        Season::ofIndices([1, 2]);
    }

    public function test_a_share_of_a_band_is_a_share_of_all_it_says(): void
    {
        self::assertEquals(new Band(1, 2, 3, 2.25), (new Band(4, 8, 12, 9))->times(.25));
    }

    private static function fingerprint(ItemForecast $said): string
    {
        return bin2hex($said->promise('pen', Month::parse('2026-12'))->gains->fingerprint());
    }

    private static function said(): ItemForecast
    {
        return new ItemForecast(
            Month::parse('2026-11'),
            'pen',
            PageKind::Existing,
            1 / 6,
            12.3,
            90.0,
            12,
            3,
            .35,
            null,
            2,
            new Band(0, 4, 80.5, 12.3),
            Season::ofIndices([1, 1, 1, 1, 1, 1, 2, .5, .5, 1, 1, 1]),
            CtrCurve::default(),
            [
                new ForecastKeyword('pen', 12, 1000.0, 1000 * CtrCurve::default()->at(12), self::chances()),
                new ForecastKeyword('best pen', null, 500.0, 0.0, self::chances()),
                new ForecastKeyword('unknown pen', 5, null, null),
            ],
        );
    }

    private static function chances(): PlaceChances
    {
        return new PlaceChances([.01, 1 / 30, .1, .2, 1 / 3, .5, .7]);
    }
}
