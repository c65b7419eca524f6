<?php

declare(strict_types=1);

namespace Tests\Core\Explanation;

use GreaterReach\Core\Clicks\ConversionRate;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Explanation\Explainer;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\FigureInputs;
use GreaterReach\Core\Explanation\Input;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\HorizonRule;
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
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Priority\UnlearntModels;

/** What every figure says of itself: rule, inputs, steps, what is assumed; and at which bounds it says another thing. */
final class FiguresExplainedTest extends TestCase
{
    public function test_every_input_has_its_unit_and_its_source(): void
    {
        $volume = ['volume', 1100, 'searches a month', 'keyword list'];
        $rate = static fn(int $position, float $at): array => ["click-through rate at {$position}", $at, '', 'default curve'];
        $gain = ['gain', 116.6, 'visits a month', ''];
        $inputs = array_map(
            static fn(Explanation $why): array => array_map(
                static fn(Input $input): array => [
                    $input->name,
                    \is_float($input->value) ? round($input->value, 6) : $input->value,
                    $input->unit,
                    (string) $input->source,
                ],
                $why->inputs,
            ),
            $this->why(),
        );
        self::assertSame(
            [
                'visits_now' => [$volume, $rate(12, .008)],
                'potential' => [$volume, $rate(1, .325)],
                'gain' => [$volume, $rate(3, .114)],
                'gain_value' => [$gain, ['CPC', 1.5, 'a click', 'rankings']],
                'conversions' => [$gain, ['conversion rate', .02, 'of visits', 'rulebook']],
                'revenue' => [['conversions', 2.332, 'a month', ''], ['value per conversion', 40.0, '', 'rulebook']],
                'links_to_earn' => [['referring domains needed', 2.320117, '', ''], ['our page has', 0, 'referring domains', '']],
                'comfort' => [['keywords that count', 0, '', '']],
                'horizon' => [
                    ['difficulty', 20.0, '0–100', 'rankings'],
                    ['comfort difficulty', 30.0, '0–100', ''],
                    ['our position', 12, '', ''],
                    $gain,
                ],
                'priority' => [
                    ['volume', 4.0, 'of 5, weight 1', ''],
                    ['ease', 4.0, 'of 5, weight 1', ''],
                    ['gain', 3.0, 'of 5, weight 1', ''],
                ],
                'tactic' => [['our position', 12, '', '']],
            ],
            array_diff_key($inputs, ['win_chance' => 1, 'expected_gain' => 1]),
        );
    }

    public function test_every_figure_tells_its_rule(): void
    {
        $rules = array_map(static fn(Explanation $why): string => $why->rule, $this->why());
        self::assertSame(array_keys($rules), array_values(array_map(static fn(Explanation $why): string => $why->figure, $this->why())));
        self::assertSame('Visits a month are volume × click-through rate at our position; absent means 0.', $rules['visits_now']);
        self::assertSame('Visits at position 1: volume × click-through rate at 1.', $rules['potential']);
        self::assertSame('Visits at the target less visits now, never below 0.', $rules['gain']);
        self::assertSame('What the gained visits would cost as bought clicks: gain × CPC.', $rules['gain_value']);
        self::assertSame(['Gain × conversion rate.', 'Conversions × value per conversion.'], [$rules['conversions'], $rules['revenue']]);
        self::assertSame('Referring domains needed, rounded up, less those our ranking page has.', $rules['links_to_earn']);
        self::assertSame('The weighted mean of the scores that are known.', $rules['priority']);
        self::assertStringContainsString('new page, merge pages, extend page, refresh page, else improve page', $rules['tactic']);
        $assumed = array_map(static fn(Explanation $why): array => $why->assumptions, $this->why());
        self::assertSame(['We assume the same conversion rate for every visit.'], $assumed['conversions']);
        self::assertSame(['We assume the same value for every conversion.'], $assumed['revenue']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> bounds of the horizon, each met and just missed */
    public static function horizons(): iterable
    {
        $quick = static fn(int $position): string => "Position {$position} lies in 6 to 20, 20 is within 30 and a gain of ";
        yield 'first of striking distance' => [['position' => 6], $quick(6)];
        yield 'last of striking distance' => [['position' => 20], $quick(20)];
        yield 'before it' => [['position' => 5], 'A reach of '];
        yield 'beyond it' => [['position' => 21], 'A reach of '];
        yield 'absent' => [['position' => null], 'A reach of '];
        yield 'as hard as we are comfortable with' => [['difficulty' => 30.0], 'Position 12 lies in 6 to 20, 30 is within 30'];
        yield 'harder' => [['difficulty' => 30.1], 'A reach of '];
        yield 'a gain that just pays' => [['quick_win_gain' => '116.6'], $quick(12).'116.6 is at least 116.6'];
        yield 'a gain that does not' => [['quick_win_gain' => '116.7'], 'A reach of '];
        yield 'an unknown gain' => [['volume' => null], 'A reach of '];
        yield 'enough reach' => [['position' => 21, 'short_term_chance' => '0'], 'short term.'];
        yield 'not enough' => [['position' => 21, 'short_term_chance' => '0.99'], 'is below 0.99: long term.'];
    }

    /** @param array<string, mixed> $facts and settings of the rulebook */
    #[DataProvider('horizons')]
    public function test_the_horizon_says_at_which_bound_it_lies(array $facts, string $says): void
    {
        $set = array_filter($facts, \is_string(...));
        $facts = [...array_diff_key($facts, $set), 'horizons' => self::horizon(Rulebook::standard()->with($set))];
        self::assertStringContainsString($says, $this->why($facts)['horizon']->steps[0]);
    }

    public function test_links_to_earn_say_where_the_number_comes_from(): void
    {
        $measured = $this->why(['pageOneMedian' => 7.0, 'ownPageLinks' => 2])['links_to_earn'];
        self::assertSame(['The pages on page one have 7 referring domains at the median.', 'To earn: 5.'], $measured->steps);
        self::assertSame([7.0, 2], [$measured->inputs[0]->value, $measured->inputs[1]->value]);
        self::assertSame([], $measured->assumptions);
        $assumed = $this->why(['ownPageLinks' => 9])['links_to_earn'];
        self::assertSame('To earn: 0.', $assumed->steps[1]);
        self::assertSame(['The line from difficulty to links is assumed; import page-one results to measure it.'], $assumed->assumptions);
        $unknown = $this->why(['difficulty' => null])['links_to_earn'];
        self::assertSame(['Neither page one nor the difficulty is known.', 'To earn: unknown.'], $unknown->steps);
        self::assertSame([], $unknown->assumptions);
    }

    public function test_what_a_chance_is_made_of_says_where_it_comes_from(): void
    {
        $sources = fn(array $other = []): array => array_column(array_map(
            static fn(Input $input): array => [$input->name, $input->source],
            $this->why($other)['win_chance']->inputs,
        ), 1, 0);
        $usual = $sources();
        self::assertSame(
            ['3 of 8 keywords in related topics', 'assumed', 'position 12', 'assumed', '0 finished items'],
            [$usual['ground'], $usual['F(3)'], $usual['F(our position)'], $usual['pages that move'], $usual['effect']],
        );
        self::assertSame('absent', $sources(['position' => null])['F(our position)']);
        self::assertSame('0 of 0 keywords in related topics', $sources(['ground' => Ground::none()])['ground']);
        self::assertArrayNotHasKey('pages that move', $sources(['kind' => PageKind::New]));
    }

    public function test_comfort_is_measured_or_assumed(): void
    {
        $assumed = $this->why()['comfort'];
        self::assertSame(['Comfort difficulty: 30.'], $assumed->steps);
        self::assertSame(['Fewer than ten keywords show our comfort difficulty, so we assume 30.'], $assumed->assumptions);
        $measured = $this->why(['horizons' => self::horizon(Rulebook::standard(), [...array_fill(0, 9, 20.0), 30.0])])['comfort'];
        self::assertSame([['The mean over 10 keywords is 21.'], []], [$measured->steps, $measured->assumptions]);
        self::assertSame(10, $measured->inputs[0]->value);
    }

    public function test_the_aim_is_the_target_or_where_we_stand_there_already_a_better_one(): void
    {
        $aim = fn(int $position): string => $this->why(['position' => $position])['gain']->steps[0];
        self::assertSame('The target is position 3.', $aim(4));
        self::assertSame('We are at 3, at or above the target of 3, so the target is 2.', $aim(3));
        self::assertSame('We are at 1, at or above the target of 3, so the target is 1.', $aim(1));
        self::assertSame('The target is position 3.', $this->why(['position' => null])['gain']->steps[0]);
    }

    public function test_the_priority_tells_each_part_and_leaves_out_what_is_unknown_or_weighs_nothing(): void
    {
        $scores = static fn(array $known): Scores => Scores::of([...array_fill_keys(Criterion::names(), null), ...$known]);
        $why = fn(array $known): Explanation => $this->why([
            'scores' => $scores($known), 'weights' => Weights::of(['volume' => 1.0, 'gain' => 3.0]),
        ])['priority'];
        self::assertSame(['(1 × 2 + 3 × 4) ÷ 4 = 3.5.'], $why(['volume' => 2.0, 'gain' => 4.0, 'ease' => 5.0])->steps);
        self::assertSame(['(3 × 4) ÷ 3 = 4.'], $why(['gain' => 4.0])->steps);
        self::assertSame(['(1 × 0) ÷ 1 = 0.'], $why(['volume' => 0.0])->steps);
        $none = $why(['ease' => 5.0]);
        self::assertSame([['No criterion that counts is known, so the priority is unknown.'], []], [$none->steps, $none->inputs]);
    }

    public function test_numbers_keep_four_figures_and_no_more(): void
    {
        $said = [
            '1000' => 999.96, '999.9' => 999.94, '12.35' => 12.3456, '1.235' => 1.23456, '0.1235' => .123456, '0.01235' => .0123456,
            '0.001235' => .00123456, '0.000123' => .000123456, '0' => .0000001, '-12.35' => -12.3456, '-0.5' => -.5, '10' => 10.0,
            '100' => 100.0,
        ];
        foreach ($said as $text => $number) {
            self::assertSame((string) $text, Explanation::number($number));
        }
        self::assertSame(["1,000", "1,235", "-1,235"], array_map(Explanation::number(...), [1000.0, 1234.6, -1234.6]));
        self::assertSame(['-7', "12,345"], [Explanation::number(-7), Explanation::number(12345)]);
        self::assertSame(['unknown', '12.35%', '100%'], array_map(Explanation::percent(...), [null, .123456, 1.0]));
    }

    /** @param list<float> $held difficulties of keywords that we hold */
    private static function horizon(Rulebook $rulebook, array $held = []): HorizonRule
    {
        return new HorizonRule($rulebook->weighing(), ComfortDifficulty::fromDifficulties($held));
    }

    /**
     * @param array<string, mixed> $other than the usual facts
     *
     * @return array<string, Explanation>
     */
    private function why(array $other = []): array
    {
        $facts = [
            'position' => 12,
            'volume' => 1100,
            'volumeSource' => 'keyword list',
            'difficulty' => 20.0,
            'difficultySource' => 'rankings',
            'wantedTarget' => 3,
            'curve' => CtrCurve::default(),
            'curveName' => 'default',
            'positions' => UnlearntModels::positions(),
            'effects' => Effects::learn(0, 0.0),
            'kind' => PageKind::Existing,
            'movingShare' => .35,
            'ground' => Ground::held(3, 8),
            'stems' => [],
            'measured' => null,
            'titleSuccess' => .5,
            'clicksLeft' => 1.0,
            'links' => LinksNeeded::fit([], []),
            'pageOneMedian' => null,
            'ownPageLinks' => 0,
            'horizons' => self::horizon(Rulebook::standard()),
            'scores' => Scores::of([...array_fill_keys(Criterion::names(), null), 'volume' => 4.0, 'ease' => 4.0, 'gain' => 3.0]),
            'weights' => Weights::preset('plain'),
            'cpc' => 1.5,
            'cpcSource' => 'rankings',
            'conversion' => new ConversionRate(0.02, 40.0),
        ];

        $facts = [...$facts, ...$other];

        return (new Explainer(new FigureInputs(...[...$facts, 'work' => self::work($facts)])))->all();
    }

    /** @param array<string, mixed> $facts */
    private static function work(array $facts): Work
    {
        $target = Potential::usualTarget($facts['position'], 3, 0);
        $clicks = Potential::of($facts['volume'], $facts['position'], $target, $facts['curve'], $facts['clicksLeft']);
        $prospect = (new Outlook($facts['positions'], $facts['curve'], $facts['effects'], $facts['movingShare']))->of(
            $facts['kind'],
            $facts['position'],
            $target,
            $facts['difficulty'],
            $facts['ground'],
            $facts['volume'],
            $facts['volume'] === null ? null : $facts['volume'] * $facts['clicksLeft'],
        );
        $tactic = TacticLabel::of(Tactic::RefreshPage);

        return new Work($tactic, $target, $clicks->gain, $prospect->winChance, $prospect->expectedGain, $prospect->reach);
    }
}
