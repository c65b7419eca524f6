<?php

declare(strict_types=1);

namespace Tests\Core\Explanation;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Explanation\Explainer;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\FigureInputs;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\HorizonRule;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Effect;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\PositionFit;
use GreaterReach\Core\Winning\PositionModel;
use PHPUnit\Framework\TestCase;
use Tests\Core\Priority\UnlearntModels;

final class ExplainerTest extends TestCase
{
    public function test_every_figure_is_explained_with_its_own_numbers(): void
    {
        $why = $this->explain(12, 1100, 20.0);
        self::assertSame(['1 100 × 0.008 = 8.8 visits a month.'], self::plain($why['visits_now']->steps));
        self::assertSame(
            ['The aim is position 3.', '1 100 × 0.114 = 125.4 visits a month.', 'Less the visits now, 8.8: a gain of 116.6.'],
            self::plain($why['gain']->steps),
        );
        self::assertSame(
            [
                'Assumed: at a difficulty of 20 against a comfort of 30, 38.94 % stand at 3 or better.',
                'From where we are: we stand at 12 and give nothing up, so 38.94 % ÷ 80.19 % = 48.56 %; without that it would be 19.47 %.',
                'From the effect: 50 % of the pages that are worked on move at all (assumed), so 50 % × 48.56 % = 24.28 %; if all '.
                    'moved it would be 48.56 %.',
            ],
            $why['win_chance']->steps,
        );
        self::assertCount(3, $why['win_chance']->assumptions);
        self::assertSame(
            [
                'Over all places from 1 to 12: 67.17 visits a month.',
                'Places better than the target count too, and places short of it bring something, so it is not chance × gain (28.31).',
            ],
            $why['expected_gain']->steps,
        );
        self::assertSame(['e^(0 + 0.06 × 20) − 1 = 2.32.', 'To earn: 3.'], $why['links_to_earn']->steps);
        self::assertSame('keyword list', $why['visits_now']->inputs[0]->source);
        self::assertSame(
            ['Position 12 lies in 6 to 20, 20 is within 30 and a gain of 116.6 is at least 10: quick win.'],
            $why['horizon']->steps,
        );
        self::assertSame(['(1 × 4 + 1 × 4 + 1 × 3) ÷ 3 = 3.667.'], $why['priority']->steps);
        self::assertCount(1, $why['comfort']->assumptions);
        self::assertSame([Tactic::RefreshPage->reason()], $why['tactic']->steps);
    }

    public function test_money_is_told_with_its_rates(): void
    {
        $why = $this->explain(12, 1100, 20.0);
        self::assertSame(['116.6 × 1.5 = 174.9 a month.'], $why['gain_value']->steps);
        self::assertSame(['116.6 × 0.02 = 2.332 conversions a month.'], $why['conversions']->steps);
        self::assertSame(['2.332 × 40 = 93.28 a month.'], $why['revenue']->steps);
    }

    public function test_money_of_an_unknown_gain_is_unknown_and_no_revenue_is_told_without_a_value(): void
    {
        $why = $this->explain(12, null, 20.0);
        self::assertSame(['unknown × 1.5 = unknown.'], $why['gain_value']->steps);
        self::assertArrayNotHasKey('revenue', $why);
    }

    public function test_the_unknown_is_said_to_be_unknown(): void
    {
        $why = $this->explain(null, null, null);
        self::assertSame(['We are absent, so no search ends at our site: 0.'], $why['visits_now']->steps);
        self::assertSame(['The volume is unknown, so this is too.'], $why['potential']->steps);
        self::assertSame(['The difficulty is unknown, so the chance is too.'], $why['win_chance']->steps);
        self::assertSame(['Over all places from 1 to 100: unknown visits a month.'], $why['expected_gain']->steps);
        self::assertSame(['The difficulty is unknown, so the horizon is too.'], $why['horizon']->steps);
        self::assertSame([], $why['links_to_earn']->assumptions);
    }

    public function test_who_stands_at_the_target_aims_higher(): void
    {
        self::assertSame('We stand at 2, at or above the target of 3, so the aim is 1.', $this->explain(2, 100, 5.0)['gain']->steps[0]);
        self::assertSame(['We are first already: 1.'], $this->explain(1, 100, 5.0)['win_chance']->steps);
    }

    public function test_a_learnt_chance_tells_what_each_factor_does(): void
    {
        $fit = PositionFit::fromArray([
            'alphas' => [-3.0, -1.8, -1.1, 0.0, 1.0, 2.0, 2.4],
            'betas' => ['difficulty' => -.04, 'authority' => null, 'ground' => .6],
            'rows' => 5000,
            'assumed' => false,
            'odd' => ['authority'],
            'ranges' => [],
        ]);
        $why = $this->explain(null, 1100, 40.0, new PositionModel($fit, [100, 200, 200, 500, 500, 500, 500, 2500], null))['win_chance'];
        self::assertSame(
            [
                'From the study: of 5 000 places of all compared domains, one like ours at a difficulty of 40 stands at 3 or better with '.
                    '2.135 %; whatever the keyword, 6 % do.',
                'From the ground: we rank for 3 of the 8 other keywords of the page that leads, https://inkmoor.example/guide; without '.
                    'that it would be 0.8485 %.',
                'From the effect: 50 % of the pages that are worked on move at all (assumed), so 50 % × 2.135 % = 1.068 %; if all '.
                    'moved it would be 2.135 %.',
            ],
            self::plain($why->steps),
        );
        self::assertSame(
            'By these data domains of less authority stand better, which is odd; authority is left out.',
            $why->assumptions[1],
        );
    }

    public function test_what_the_features_of_the_results_page_take_is_said(): void
    {
        $why = $this->explain(12, 1100, 20.0, clicksLeft: .5);
        self::assertSame(
            ['1 100 × 0.5 (what the features of the results page leave) × 0.008 = 4.4 visits a month.'],
            self::plain($why['visits_now']->steps),
        );
        self::assertStringEndsWith('× 0.114 = 62.7 visits a month.', $why['gain']->steps[1]);
        self::assertStringEndsWith('× 0.325 = 178.8 visits a month.', $why['potential']->steps[0]);
        self::assertSame('Over all places from 1 to 12: 33.59 visits a month.', $why['expected_gain']->steps[0], 'Half of 67.17.');
    }

    public function test_an_expectation_is_set_beside_chance_and_gain_where_both_are_known_and_something_is_to_be_won(): void
    {
        $steps = fn(?int $position, ?int $volume, ?float $difficulty): array
            => self::plain($this->explain($position, $volume, $difficulty)['expected_gain']->steps);
        self::assertCount(2, $steps(12, 1100, 20.0));
        self::assertCount(2, $steps(2, 1100, 20.0));
        self::assertSame(['Over all places from 1 to 1: 0 visits a month.'], $steps(1, 1100, 20.0));
        self::assertSame(['Over all places from 1 to 12: unknown visits a month.'], $steps(12, 1100, null));
        self::assertSame(['Over all places from 1 to 12: unknown visits a month.'], $steps(12, null, 20.0));
    }

    public function test_numbers_are_short(): void
    {
        self::assertSame(
            ['unknown', '0', '12', '0.008', '99.72', '0.000001', '1 234 568', '0', '1', '0.5', '-999.9', '-1 000'],
            self::plain(array_map(
                Explanation::number(...),
                [null, 0.0, 12, 0.008, 99.7203, 0.000001, 1234567.8, 0, 1.0, 0.5, -999.94, -1000.0],
            )),
        );
    }

    /** @return array<string, Explanation> */
    private function explain(
        ?int $position,
        ?int $volume,
        ?float $difficulty,
        ?PositionModel $positions = null,
        float $clicksLeft = 1.0,
    ): array {
        $comfort = ComfortDifficulty::fromDifficulties([]);
        $facts = new FigureInputs(
            $position,
            $volume,
            'keyword list',
            $difficulty,
            'rankings',
            3,
            CtrCurve::default(),
            'default',
            $positions ?? UnlearntModels::positions(),
            Effect::assumed(0.5),
            Ground::held(3, 8),
            'https://inkmoor.example/guide',
            $clicksLeft,
            LinksNeeded::fit([], []),
            null,
            0,
            new HorizonRule(Rulebook::standard()->weighing(), $comfort),
            Scores::of([...array_fill_keys(Criterion::names(), null), 'volume' => 4.0, 'ease' => 4.0, 'gain' => 3.0, 'intent' => 2.0]),
            Weights::preset('plain'),
            Tactic::RefreshPage,
            1.5,
            'keyword list',
            0.02,
            $volume === null ? null : 40.0,
        );

        return (new Explainer($facts))->all();
    }

    /**
     * @param list<string> $texts
     *
     * @return list<string>
     */
    private static function plain(array $texts): array
    {
        return array_map(static fn(string $text): string => str_replace("\u{2009}", ' ', $text), $texts);
    }
}
