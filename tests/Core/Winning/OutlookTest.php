<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Winning\Effect;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\Outlook;
use GreaterReach\Core\Winning\PlaceChances;
use GreaterReach\Core\Winning\PlaceClass;
use GreaterReach\Core\Winning\PositionFit;
use GreaterReach\Core\Winning\PositionModel;
use GreaterReach\Core\Winning\Prospect;
use PHPUnit\Framework\TestCase;

final class OutlookTest extends TestCase
{
    public function test_every_place_has_its_class(): void
    {
        self::assertSame(
            [0, 1, 1, 2, 2, 3, 3, 4, 4, 5, 5, 6, 6, 7],
            array_map(PlaceClass::of(...), [1, 2, 3, 4, 5, 6, 10, 11, 20, 21, 50, 51, 100, null]),
        );
        self::assertSame(['1', '2–3', '4–5', '6–10', '11–20', '21–50', '51–100', 'absent'], PlaceClass::names());
    }

    /** Closed forms: within a class all places count alike, so the chance up to one of them lies on a straight line. */
    public function test_between_the_bounds_the_chance_rises_on_a_straight_line(): void
    {
        $places = new PlaceChances([.1, .2, .3, .5, .7, .8, .9]);
        self::assertEqualsWithDelta(
            [0.0, .1, .15, .2, .25, .34, .5, .52, .8, .802, .9],
            array_map($places->upTo(...), [0, 1, 2, 3, 4, 6, 10, 11, 50, 51, 100]),
            1e-12,
        );
        self::assertEqualsWithDelta([.1, .1, .1, .2, .2, .1, .1, .1], $places->byClass(), 1e-12);
        // At 9, three: .2 ÷ (.3 + .2 · 4 ÷ 5).
        self::assertEqualsWithDelta(.2 / .46, $places->reach(3, 9), 1e-12);
        self::assertEqualsWithDelta(.2, $places->reach(3, null), 1e-12);
        self::assertEqualsWithDelta([.1, .05, .05, .04, .02, .1 / 30, .1 / 50], $places->perPlace(null), 1e-12);
    }

    public function test_what_cannot_be_by_the_model_is_never_reached(): void
    {
        $places = new PlaceChances([0.0, 0.0, .5, 1.0, 1.0, 1.0, 1.0]);
        self::assertSame(0.0, $places->reach(1, 2));
        self::assertSame(array_fill(0, 7, 0.0), $places->perPlace(3));
        $outlook = new Outlook(self::model(-INF, -INF, 0.0, 1.0, INF, INF, INF), CtrCurve::default(), Effect::assumed(.5));
        self::assertEquals(new Prospect(0.0, 0.0, 0.0), $outlook->of(3, 2, 40.0, Ground::none(), 1000.0));
        self::assertSame(0.0, $outlook->of(3, 2, 40.0, Ground::none(), null)->expectedGain, 'Nothing can be won, whatever the volume.');
    }

    /** The sum over single places, as the rule has it. */
    public function test_expected_gain_is_an_expectation_over_the_places(): void
    {
        $curve = CtrCurve::default();
        $places = self::model()->chances(42.0, Ground::held(3, 7));
        foreach ([null, 2, 3, 7, 10, 20, 64, 100] as $position) {
            $sum = 0.0;
            $now = $position === null ? 0.0 : $curve->at($position);
            for ($place = 1; $place <= ($position ?? 100); ++$place) {
                $chance = ($places->upTo($place) - $places->upTo($place - 1)) / $places->noWorseThan($position);
                $sum += $chance * ($curve->at($place) - $now);
            }
            $outlook = new Outlook(self::model(), $curve, Effect::assumed(.4));
            $prospect = $outlook->of($position, 1, 42.0, Ground::held(3, 7), 800.0);
            self::assertEqualsWithDelta(.4 * 800 * $sum, $prospect->expectedGain, 1e-9);
        }
    }

    public function test_what_is_first_is_won_already_and_the_unknown_stays_unknown(): void
    {
        $outlook = new Outlook(self::model(), CtrCurve::default(), Effect::assumed(.5));
        self::assertSame(1.0, $outlook->of(1, 1, null, Ground::none(), 50.0)->winChance);
        self::assertSame(0.0, $outlook->of(1, 1, 30.0, Ground::none(), null)->expectedGain);
        self::assertEquals(new Prospect(null, null, null), $outlook->of(4, 3, null, Ground::none(), 50.0));
        $noVolume = $outlook->of(4, 3, 30.0, Ground::none(), null);
        self::assertNotNull($noVolume->winChance);
        self::assertNull($noVolume->expectedGain);
    }

    public function test_where_we_are_absent_the_reach_is_page_one(): void
    {
        $places = self::model()->chances(30.0, Ground::none());
        $prospect = (new Outlook(self::model(), CtrCurve::default(), Effect::assumed(0.0)))->of(null, 3, 30.0, Ground::none(), 100.0);
        self::assertSame([$places->upTo(10), 0.0, 0.0], [$prospect->reach, $prospect->winChance, $prospect->expectedGain]);
        self::assertSame(
            $places->upTo(3),
            (new Outlook(self::model(), CtrCurve::default(), Effect::assumed(1.0)))->of(null, 3, 30.0, Ground::none(), 100.0)->winChance,
        );
    }

    /** Whatever comes in: what must hold of every chance and every expectation. */
    public function test_invariants_on_random_input(): void
    {
        mt_srand(11);
        $curve = CtrCurve::default();
        for ($try = 0; $try < 300; ++$try) {
            $model = self::random();
            $difficulty = mt_rand(0, 1000) / 10;
            $ground = Ground::held($held = mt_rand(0, 20), $held + mt_rand(0, 30));
            $places = $model->chances($difficulty, $ground);
            $before = 0.0;
            for ($place = 1; $place <= 100; ++$place) {
                self::assertGreaterThanOrEqual($before, $before = $places->upTo($place));
            }
            self::assertEqualsWithDelta(1.0, array_sum($places->byClass()), 1e-12);
            $harder = $model->chances(min(100.0, $difficulty + 10), $ground);
            $better = $model->chances($difficulty, Ground::held(50, 50));
            $position = mt_rand(0, 4) === 0 ? null : mt_rand(2, 100);
            self::assertLessThanOrEqual($places->upTo(10), $harder->upTo(10));
            self::assertGreaterThanOrEqual($places->upTo(10), $better->upTo(10));
            $outlook = new Outlook($model, $curve, Effect::assumed(mt_rand(0, 100) / 100));
            $prospect = $outlook->of($position, 1, $difficulty, $ground, 700.0);
            self::assertGreaterThanOrEqual(0.0, $prospect->expectedGain);
            $most = 700 * ($curve->at(1) - ($position === null ? 0.0 : $curve->at($position)));
            self::assertLessThanOrEqual($most + 1e-9, $prospect->expectedGain);
            if ($position !== null && $position > 3) {
                self::assertGreaterThanOrEqual($places->reach(2, $position) - 1e-12, $places->reach(2, $position - 1));
            }
        }
    }

    private static function random(): PositionModel
    {
        $alphas = [];
        $alpha = mt_rand(-60, 0) / 10;
        for ($bound = 0; $bound < 7; ++$bound) {
            $alphas[] = $alpha += mt_rand(1, 20) / 10;
        }

        return self::model(...$alphas);
    }

    private static function model(float ...$alphas): PositionModel
    {
        $alphas = $alphas === [] ? [-3.0, -1.8, -1.1, 0.0, 1.0, 2.0, 2.4] : array_values($alphas);
        $fit = PositionFit::fromArray([
            'alphas' => $alphas,
            'betas' => ['difficulty' => -.04, 'authority' => .02, 'ground' => .6],
            'rows' => 500,
            'assumed' => false,
            'odd' => [],
            'ranges' => [],
        ]);

        return new PositionModel($fit, array_fill(0, 8, 0), 35.0);
    }

    public function test_at_the_first_place_nothing_is_left_to_win_whatever_is_unknown(): void
    {
        $outlook = new Outlook(self::model(), CtrCurve::default(), Effect::assumed(.5));
        self::assertEquals(new Prospect(null, 1.0, 0.0), $outlook->of(1, 1, null, Ground::none(), 50.0));
        self::assertEquals(new Prospect(null, null, null), $outlook->of(2, 1, null, Ground::none(), 50.0));
        self::assertEquals(new Prospect(null, null, null), $outlook->of(null, 3, null, Ground::none(), 50.0));
    }
}
