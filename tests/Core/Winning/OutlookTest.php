<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\Outlook;
use GreaterReach\Core\Winning\PageKind;
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
    }

    public function test_what_cannot_be_by_the_model_is_never_reached(): void
    {
        $places = new PlaceChances([0.0, 0.0, .5, 1.0, 1.0, 1.0, 1.0]);
        self::assertSame(0.0, $places->reach(1, 2));
        $outlook = self::outlook(self::model(-INF, -INF, 0.0, 1.0, INF, INF, INF));
        self::assertEquals(new Prospect(0.0, 0.0, 0.0), $outlook->of(PageKind::Existing, 3, 2, 40.0, Ground::none(), 1000, 1000.0));
        self::assertNull($outlook->of(PageKind::Existing, 3, 2, 40.0, Ground::none(), null, null)->expectedGain);
    }

    /** G(t) as the rule writes it, with logarithms; the sum over single places. */
    public function test_expected_gain_is_an_expectation_over_the_places(): void
    {
        $curve = CtrCurve::default();
        $model = self::model();
        $effects = Effects::learn(5, -.5);
        $logit = static fn(float $p): float => $p <= 0.0 ? -INF : ($p >= 1.0 ? INF : log($p / (1 - $p)));
        $sigma = static fn(float $z): float => 1 / (1 + exp(-$z));
        foreach (PageKind::cases() as $kind) {
            foreach ([null, 2, 3, 7, 10, 20, 64, 100] as $position) {
                $places = $model->chances(42.0, Ground::held(3, 7), 800);
                $shifted = $model->chances(42.0, Ground::held(3, 7), 800, $effects->new->mean());
                $upTo = static fn(int $t): float => match (true) {
                    $t === 0 => 0.0,
                    $position !== null && $t >= $position => 1.0,
                    $kind === PageKind::New => $shifted->upTo($t),
                    default => $sigma($logit(.35 * $places->upTo($t) / $places->noWorseThan($position)) + $effects->existing->mean()),
                };
                $sum = 0.0;
                for ($t = 1; $t <= ($position ?? 100); ++$t) {
                    $sum += ($upTo($t) - $upTo($t - 1)) * ($curve->at($t) - ($position === null ? 0.0 : $curve->at($position)));
                }
                $prospect = (new Outlook($model, $curve, $effects, .35))->of($kind, $position, 1, 42.0, Ground::held(3, 7), 800, 640.0);
                self::assertEqualsWithDelta(640 * $sum, $prospect->expectedGain, 1e-9);
                self::assertEqualsWithDelta($upTo(1), $prospect->winChance, 1e-12);
            }
        }
    }

    public function test_what_is_first_is_won_already_and_the_unknown_stays_unknown(): void
    {
        $outlook = self::outlook();
        self::assertSame(1.0, $outlook->of(PageKind::Existing, 1, 1, null, Ground::none(), 50, 50.0)->winChance);
        self::assertSame(0.0, $outlook->of(PageKind::Existing, 1, 1, 30.0, Ground::none(), null, null)->expectedGain);
        foreach ([[2, 1], [4, 3], [null, 3]] as [$position, $target]) {
            $unknown = $outlook->of(PageKind::New, $position, $target, null, Ground::none(), 50, 50.0);
            self::assertEquals(new Prospect(null, null, null), $unknown);
        }
        $noVolume = $outlook->of(PageKind::Existing, 4, 3, 30.0, Ground::none(), null, null);
        self::assertNotNull($noVolume->winChance);
        self::assertNull($noVolume->expectedGain);
    }

    public function test_where_we_are_absent_the_reach_is_page_one_and_a_new_page_does_as_those_of_the_market(): void
    {
        $model = self::model();
        $outlook = new Outlook($model, CtrCurve::default(), Effects::learn(9, -.8), .35);
        $of = static fn(PageKind $kind): ?float => $outlook->of($kind, null, 3, 30.0, Ground::none(), 100, 100.0)->reach;
        self::assertSame($model->chances(30.0, Ground::none(), 100)->upTo(10), $of(PageKind::Existing));
        self::assertSame($model->chances(30.0, Ground::none(), 100, -.8)->upTo(10), $of(PageKind::New));
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
            $position = mt_rand(0, 4) === 0 ? null : mt_rand(2, 100);
            $kind = PageKind::cases()[$try % 2];
            $outlook = new Outlook($model, $curve, Effects::learn(3, mt_rand(-20, 20) / 10), mt_rand(0, 100) / 100);
            $of = static fn(float $difficulty, Ground $ground, int $target = 2): Prospect =>
                $outlook->of($kind, $position, $target, $difficulty, $ground, 700, 700.0);
            $prospect = $of($difficulty, $ground);
            self::assertGreaterThanOrEqual(0.0, $prospect->expectedGain);
            $most = 700 * ($curve->at(1) - ($position === null ? 0.0 : $curve->at($position)));
            self::assertLessThanOrEqual($most + 1e-9, $prospect->expectedGain);
            self::assertGreaterThanOrEqual($of($difficulty, $ground, 1)->winChance, $prospect->winChance);
            if ($kind === PageKind::New) {
                self::assertLessThanOrEqual($prospect->winChance, $of(min(100.0, $difficulty + 10), $ground)->winChance);
                self::assertGreaterThanOrEqual($prospect->winChance, $of($difficulty, Ground::held(50, 50))->winChance);
            }
        }
    }

    private static function outlook(?PositionModel $model = null): Outlook
    {
        return new Outlook($model ?? self::model(), CtrCurve::default(), Effects::learn(0, 0.0), .35);
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
            'betas' => ['difficulty' => -.04, 'authority' => .02, 'ground' => .6, 'volume' => -.2],
            'rows' => 500,
            'assumed' => false,
            'odd' => [],
            'ranges' => [],
        ]);

        return new PositionModel($fit, array_fill(0, 8, 0), 35.0);
    }
}
