<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Priority\Bands;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\HorizonRule;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\ScoreStyle;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Priority\StrikingDistance;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\ComfortDifficulty;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rules with a bound hold on it, and no longer beyond it. */
final class BordersTest extends TestCase
{
    /** @return iterable<string, array{int, float, float, bool}> position, difficulty, gain, whether it is a quick win */
    public static function quickWins(): iterable
    {
        $rulebook = Rulebook::standard();
        $comfort = ComfortDifficulty::fromDifficulties([])->value;
        $gain = $rulebook->float('quick_win_gain');
        [$from, $to] = [$rulebook->int('striking_from'), $rulebook->int('striking_to')];
        yield 'on all bounds' => [$from, $comfort, $gain, true];
        yield 'on the other bound of the positions' => [$to, $comfort, $gain, true];
        yield 'better than striking distance' => [$from - 1, $comfort, $gain, false];
        yield 'worse than striking distance' => [$to + 1, $comfort, $gain, false];
        yield 'a little harder' => [$from, $comfort + .1, $gain, false];
        yield 'a little less' => [$from, $comfort, $gain - .1, false];
    }

    #[DataProvider('quickWins')]
    public function test_a_quick_win_is_one_up_to_its_bounds(int $position, float $difficulty, float $gain, bool $isOne): void
    {
        $rule = new HorizonRule(Rulebook::standard()->weighing(), ComfortDifficulty::fromDifficulties([]));
        self::assertSame($isOne, $rule->isQuickWin($position, $difficulty, $gain));
        self::assertSame($isOne ? Horizon::QuickWin : Horizon::LongTerm, $rule->of($position, $difficulty, $gain, null));
    }

    public function test_short_term_begins_at_its_chance(): void
    {
        $chance = Rulebook::standard()->float('short_term_chance');
        $rule = new HorizonRule(Rulebook::standard()->weighing(), ComfortDifficulty::fromDifficulties([]));
        self::assertSame(Horizon::ShortTerm, $rule->of(null, 90.0, null, $chance));
        self::assertSame(Horizon::LongTerm, $rule->of(null, 90.0, null, $chance - .001));
        self::assertNull($rule->of(null, null, 900.0, 1.0));
    }

    public function test_a_gate_lets_in_what_fits_well_enough_and_shuts_out_the_unknown(): void
    {
        self::assertTrue(FitGate::open()->isOpen());
        self::assertTrue(FitGate::open()->lets(null));
        self::assertTrue(FitGate::open()->lets(0.0));
        $gate = FitGate::from(3);
        self::assertFalse($gate->isOpen());
        self::assertSame([true, false, false], [$gate->lets(3.0), $gate->lets(2.9), $gate->lets(null)]);
    }

    public function test_a_judgement_lies_within_its_bounds(): void
    {
        $judged = static fn(?int $target, ?int $fit, ?float $hard): Judgement => new Judgement($target, $fit, difficulty: $hard);
        self::assertSame([1, 0, 0.0], self::parts($judged(1, 0, 0.0)));
        self::assertSame([100, 5, 100.0], self::parts($judged(100, 5, 100.0)));
        self::assertSame([null, null, null], self::parts($judged(null, null, null)));
        $wrong = [[0, null, null], [101, null, null], [null, -1, null], [null, 6, null], [null, null, -.5], [null, null, 100.5]];
        foreach ($wrong as [$target, $fit, $difficulty]) {
            try {
                $judged($target, $fit, $difficulty);
                self::fail('It was taken.');
            } catch (InvalidArgument $misuse) {
                self::assertStringContainsString('A target lies between 1 and 100', $misuse->getMessage());
            }
        }
    }

    /** @return array{?int, ?int, ?float} */
    private static function parts(Judgement $judgement): array
    {
        return [$judgement->target, $judgement->fit, $judgement->difficulty];
    }

    /** The presets as they were agreed on. */
    public function test_the_presets_weigh_what_they_are_said_to(): void
    {
        self::assertSame(
            [
                'reach' => 'expected:2 worth:4 intent:1',
                'plain' => 'volume:1 ease:1 gain:1',
                'even' => 'expected:1 volume:1 ease:1 gain:1 worth:1 value:1 intent:1 fit:1',
                'business' => 'ease:1 gain:1 value:1 intent:2 fit:3',
                'sales' => 'ease:1 gain:1 value:2 intent:2',
                'swift' => 'volume:1 ease:3 gain:1',
            ],
            array_map(
                static fn(array $weights): string => implode(' ', array_map(
                    static fn(string $name, float $weight): string => "{$name}:{$weight}",
                    array_keys($weights),
                    $weights,
                )),
                Weights::PRESETS,
            ),
        );
    }

    public function test_a_criterion_counts_from_any_weight_above_nothing_on(): void
    {
        $names = static fn(Weights $weights): array => array_column($weights->criteria(), 'value');
        self::assertSame(['ease', 'gain'], $names(Weights::of(['gain' => .001, 'ease' => 2.0, 'fit' => 0.0])));
    }

    public function test_a_smooth_score_rises_in_a_straight_line_to_the_first_bound_and_with_the_logarithm_beyond(): void
    {
        $bands = Bands::of([10.0, 40.0, 160.0, 640.0, 2560.0]);
        self::assertSame(.0, $bands->rising(0.0, ScoreStyle::Smooth));
        self::assertSame(.25, $bands->rising(2.5, ScoreStyle::Smooth));
        self::assertSame(1.0, $bands->rising(10.0, ScoreStyle::Smooth));
        self::assertEqualsWithDelta(1.5, $bands->rising(20.0, ScoreStyle::Smooth), 1e-12);
        self::assertEqualsWithDelta(4.5, $bands->rising(1280.0, ScoreStyle::Smooth), 1e-12);
        self::assertSame(5.0, $bands->rising(2560.0, ScoreStyle::Smooth));
        self::assertSame(
            [0.0, 1.0, 4.0],
            array_map(static fn(float $value): ?float => $bands->rising($value, ScoreStyle::Stepped), [9.9, 39.9, 640.0]),
        );
        self::assertNull($bands->rising(null, ScoreStyle::Smooth));
    }

    public function test_a_smooth_score_of_bounds_below_one_and_a_falling_one_lie_between_the_bounds(): void
    {
        $bands = Bands::of([.25, .75, 1.5, 3.0, 6.0]);
        self::assertEqualsWithDelta(1 + log(2) / log(3), $bands->rising(.5, ScoreStyle::Smooth), 1e-12);
        $ease = Bands::ofEase([10.0, 20.0, 35.0, 50.0, 70.0]);
        $falling = static fn(float $value): ?float => $ease->falling($value, ScoreStyle::Smooth);
        $told = array_map($falling, [10.0, 10.5, 27.5, 70.0, 85.0, 100.0]);
        foreach ([5.0, 4.95, 3.5, 1.0, .5, 0.0] as $number => $score) {
            self::assertEqualsWithDelta($score, $told[$number], 1e-12);
        }
        self::assertSame(
            [5.0, 4.0, 1.0, 0.0],
            array_map(static fn(float $value): ?float => $ease->falling($value, ScoreStyle::Stepped), [10.0, 10.1, 70.0, 70.1]),
        );
        self::assertNull($ease->falling(null, ScoreStyle::Smooth));
    }

    public function test_striking_distance_is_from_six_to_twenty_where_nobody_says_otherwise(): void
    {
        self::assertSame(
            [false, true, true, false, false],
            array_map((new StrikingDistance())->holds(...), [5, 6, 20, 21, null]),
        );
    }

    public function test_what_a_share_of_the_draws_means_begins_at_its_border(): void
    {
        self::assertSame(
            [
                'a safe choice whatever the weights', 'depends on the weights', 'depends on the weights',
                'in the top with few weights only', 'not in the top with any weights drawn',
            ],
            array_map(Steadiness::meaning(...), [.8, .79, .3, .29, 0.0]),
        );
    }

    public function test_bounds_are_five_and_never_fall_and_those_of_ease_rise_below_100(): void
    {
        self::assertSame([1.0, 1.0, 2.0, 2.0, 3.0], Bands::of([1.0, 1.0, 2.0, 2.0, 3.0])->bounds());
        $wrong = [
            'of' => [[1.0, 2.0, 3.0, 4.0], [1.0, 2.0, 3.0, 4.0, 5.0, 6.0], [2.0, 1.0, 3.0, 4.0, 5.0]],
            'ofEase' => [[10.0, 20.0, 20.0, 30.0, 40.0], [10.0, 20.0, 30.0, 40.0, 100.0]],
        ];
        foreach ($wrong as $way => $all) {
            foreach ($all as $bounds) {
                try {
                    Bands::$way($bounds);
                    self::fail(implode(' ', $bounds).' was taken.');
                } catch (InvalidValue $problem) {
                    self::assertStringContainsString('isn’t five numbers', $problem->getMessage());
                }
            }
        }
        self::assertSame(99.9, Bands::ofEase([10.0, 20.0, 30.0, 40.0, 99.9])->bounds()[4]);
    }
}
