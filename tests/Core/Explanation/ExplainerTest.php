<?php

declare(strict_types=1);

namespace Tests\Core\Explanation;

use GreaterReach\Core\Clicks\ConversionRate;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Explanation\Explainer;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\FigureInputs;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\HorizonRule;
use GreaterReach\Core\Priority\MeasuredClicks;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Priority\Work;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\Outlook;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PositionFeature;
use GreaterReach\Core\Winning\PositionFit;
use GreaterReach\Core\Winning\PositionModel;
use PHPUnit\Framework\TestCase;
use Tests\Core\Priority\UnlearntModels;

final class ExplainerTest extends TestCase
{
    public function test_every_figure_is_explained_with_its_own_numbers(): void
    {
        $why = $this->explain(12, 1100, 20.0);
        self::assertSame(['1,100 × 0.008 = 8.8 visits a month.'], self::plain($why['visits_now']->steps));
        self::assertSame(
            ['The target is position 3.', '1,100 × 0.114 = 125.4 visits a month.', 'Less the visits now, 8.8: a gain of 116.6.'],
            self::plain($why['gain']->steps),
        );
        self::assertSame(
            [
                'Assumed: at difficulty 20 against our comfort difficulty of 30, 38.94% of pages reach the top 3.',
                'We hold 3 of 8 keywords in related topics (related by ink, pen).',
                'We already rank at 12, and at worst a page keeps its position: 38.94% ÷ 80.19% = 48.56%.',
                'About 35% of pages move when they are worked on: 16.99%.',
                'No finished work to learn from yet.',
            ],
            self::plain($why['win_chance']->steps),
        );
        self::assertCount(3, $why['win_chance']->assumptions);
        self::assertSame(
            ['Over all positions from 1 to 11: 47.02 visits a month. Positions better and worse than the target count too.'],
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
        self::assertSame(['We don’t rank, so there are no visits: 0.'], $why['visits_now']->steps);
        self::assertSame(['The volume is unknown, so this is too.'], $why['potential']->steps);
        self::assertSame(['The difficulty is unknown, so the chance is too.'], $why['win_chance']->steps);
        self::assertStringStartsWith('Over all positions from 1 to 100: unknown visits a month.', $why['expected_gain']->steps[0]);
        self::assertSame(['The difficulty is unknown, so the horizon is too.'], $why['horizon']->steps);
        self::assertSame([], $why['links_to_earn']->assumptions);
    }

    public function test_who_stands_at_the_target_aims_higher(): void
    {
        self::assertSame('We are at 2, at or above the target of 3, so the target is 1.', $this->explain(2, 100, 5.0)['gain']->steps[0]);
        self::assertSame(['We rank first already: 100%.'], $this->explain(1, 100, 5.0)['win_chance']->steps);
    }

    public function test_a_learnt_chance_tells_how_it_came_about(): void
    {
        $fit = PositionFit::fromArray([
            'alphas' => [-3.0, -1.8, -1.1, 0.0, 1.0, 2.0, 2.4],
            'betas' => ['difficulty' => -.04, 'authority' => null, 'ground' => .6, 'volume' => null],
            'rows' => 5000,
            'assumed' => false,
            'odd' => ['authority'],
            'ranges' => [],
        ]);
        $positions = new PositionModel($fit, [100, 200, 200, 500, 500, 500, 500, 2500], null);
        $new = $this->explain(null, 1100, 40.0, $positions, kind: PageKind::New)['win_chance'];
        self::assertSame(
            [
                'Pages like ours in this study: 2.135% reach the top 3 at difficulty 40 (fitted to 5,000 positions).',
                'We hold 3 of 8 keywords in related topics (related by ink, pen).',
                '12 new pages in this market did worse than pages do on average.',
                'For our new pages that makes 1.306%.',
            ],
            self::plain($new->steps),
        );
        $odd = PositionFeature::Authority->oddity();
        self::assertContains("In this study {$odd}, so authority is left out of the model.", $new->assumptions);
        $existing = $this->explain(30, 1100, 40.0, $positions)['win_chance'];
        self::assertStringStartsWith('We already rank at 30, and at worst a page keeps its position: ', $existing->steps[2]);
    }

    public function test_a_title_test_tells_what_was_measured(): void
    {
        $work = new Work(TacticLabel::of(Tactic::TestTitle), 5, 30.0, .5, 15.0, .4);
        $why = $this->explain(5, 1100, 40.0, work: $work, measured: new MeasuredClicks(10, 1000));
        self::assertSame(
            ['We got 10 clicks from 1,000 impressions at position 5, fewer than the curve predicts.'],
            self::plain($why['win_chance']->steps),
        );
        self::assertSame(['30 × 50% = 15 visits a month.'], self::plain($why['expected_gain']->steps));
        self::assertSame(['A better title could win 30 visits a month at the same position.'], $why['gain']->steps);
    }

    public function test_what_the_features_of_the_results_page_take_is_said(): void
    {
        $why = $this->explain(12, 1100, 20.0, clicksLeft: .5);
        self::assertSame(
            ['1,100 × 0.5 (share left by results-page features) × 0.008 = 4.4 visits a month.'],
            self::plain($why['visits_now']->steps),
        );
        self::assertStringEndsWith('× 0.114 = 62.7 visits a month.', $why['gain']->steps[1]);
        self::assertStringEndsWith('× 0.325 = 178.8 visits a month.', $why['potential']->steps[0]);
        self::assertStringStartsWith('Over all positions from 1 to 11: 23.51 visits', $why['expected_gain']->steps[0], 'Half of 47.02.');
    }

    public function test_numbers_are_short(): void
    {
        self::assertSame(
            ['unknown', '0', '12', '0.008', '99.72', '0.000001', '1,234,568', '0', '1', '0.5', '-999.9', '-1,000'],
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
        PageKind $kind = PageKind::Existing,
        ?Work $work = null,
        ?MeasuredClicks $measured = null,
    ): array {
        $comfort = ComfortDifficulty::fromDifficulties([]);
        [$curve, $effects, $ground] = [CtrCurve::default(), Effects::learn(12, -.5), Ground::held(3, 8)];
        $clicks = Potential::of($volume, $position, Potential::usualTarget($position, 3, 0), $curve, $clicksLeft);
        $prospect = (new Outlook($positions ?? UnlearntModels::positions(), $curve, $effects, .35))->of(
            $kind,
            $position,
            $clicks->target,
            $difficulty,
            $ground,
            $volume,
            $volume === null ? null : $volume * $clicksLeft,
        );
        $tactic = TacticLabel::of(Tactic::RefreshPage);
        $facts = new FigureInputs(
            $position,
            $volume,
            'keyword list',
            $difficulty,
            'rankings',
            3,
            $curve,
            'default',
            $positions ?? UnlearntModels::positions(),
            $effects,
            $kind,
            .35,
            $ground,
            ['ink', 'pen'],
            $work ?? new Work($tactic, $clicks->target, $clicks->gain, $prospect->winChance, $prospect->expectedGain, $prospect->reach),
            $measured,
            .5,
            $clicksLeft,
            LinksNeeded::fit([], []),
            null,
            0,
            new HorizonRule(Rulebook::standard()->weighing(), $comfort),
            Scores::of([...array_fill_keys(Criterion::names(), null), 'volume' => 4.0, 'ease' => 4.0, 'gain' => 3.0, 'intent' => 2.0]),
            Weights::preset('plain'),
            1.5,
            'keyword list',
            new ConversionRate(0.02, $volume === null ? null : 40.0),
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
