<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Comparison\Movement;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Priority\Bands;
use GreaterReach\Core\Priority\Candidate;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\MeasuredClicks;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\OpportunityOrder;
use GreaterReach\Core\Priority\ScoreCell;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\ScoreStyle;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Priority\TitleTest;
use GreaterReach\Core\Priority\Weigher;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Priority\Work;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\Ground;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class PriorityTest extends TestCase
{
    public function test_stepped_scores_are_whole_points(): void
    {
        $bands = Bands::of([10, 50, 200, 1000, 5000]);
        $rising = static fn(?float $value): ?float => $bands->rising($value, ScoreStyle::Stepped);
        self::assertSame([0.0, 1.0, 1.0, 2.0, 5.0, 5.0, null], array_map($rising, [9.9, 10.0, 49.0, 50.0, 5000.0, 1e9, null]));
        $ease = Bands::ofEase([10, 20, 35, 50, 70]);
        $falling = static fn(?float $value): ?float => $ease->falling($value, ScoreStyle::Stepped);
        self::assertSame([5.0, 5.0, 4.0, 3.0, 2.0, 1.0, 0.0, null], array_map($falling, [0.0, 10.0, 10.1, 35.0, 50.0, 70.0, 70.1, null]));
        self::assertSame(1.0, $rising(9.999_999_999_9), 'What differs in the tenth decimal is alike.');
    }

    public function test_smooth_scores_rise_with_the_logarithm_between_the_bounds(): void
    {
        $bands = Bands::of([10, 50, 200, 1000, 5000]);
        $rising = static fn(?float $value): ?float => $bands->rising($value, ScoreStyle::Smooth);
        self::assertSame([0.0, .5, 1.0, 2.0, 5.0, 5.0, null], array_map($rising, [0.0, 5.0, 10.0, 50.0, 5000.0, 9000.0, null]));
        self::assertEqualsWithDelta([1.5, 2.5], array_map($rising, [sqrt(10 * 50), 100.0]), 1e-12);
    }

    public function test_bounds_of_one_value_count_together_and_from_0_the_score_rises_on_a_line(): void
    {
        $bands = Bands::of([0, 0, 4, 4, 9]);
        $rising = static fn(?float $value): ?float => $bands->rising($value, ScoreStyle::Smooth);
        self::assertEqualsWithDelta([2.0, 2.25, 4.0, 4.5], array_map($rising, [0.0, 1.0, 4.0, 6.0]), 1e-12);
    }

    public function test_the_priority_of_every_row_of_a_cell_lies_between_its_bounds(): void
    {
        mt_srand(12);
        for ($try = 0; $try < 500; ++$try) {
            $scores = Scores::inOrder(
                ...array_map(static fn(): ?float => mt_rand(0, 4) === 0 ? null : mt_rand(0, 5000) / 1000, Criterion::names()),
            );
            $drawn = array_map(static fn(): float => (float) mt_rand(0, 3), array_flip(Criterion::names()));
            $weights = Weights::of([...$drawn, 'gain' => 1.0]);
            [$low, $high] = ScoreCell::priorities(ScoreCell::of($scores), $weights);
            $priority = $weights->priorityOf($scores);
            if ($priority === null) {
                self::assertSame([-1.0, -1.0], [$low, $high]);
            } else {
                self::assertGreaterThanOrEqual($low - 1e-12, $priority);
                self::assertLessThanOrEqual($high + 1e-12, $priority);
            }
        }
    }

    public function test_a_cell_of_which_nothing_that_counts_is_known_comes_after_all_others(): void
    {
        $unknown = Scores::inOrder(...array_map(static fn(): ?float => null, Criterion::cases()));
        self::assertSame([-1.0, -1.0], ScoreCell::priorities(ScoreCell::of($unknown), Weights::standard()));
        $least = Scores::inOrder(...array_map(static fn(): float => 0.0, Criterion::cases()));
        self::assertSame([-.5, 0.0], ScoreCell::priorities(ScoreCell::of($least), Weights::standard()));
    }

    public function test_ease_falls_on_straight_lines_to_0_at_100(): void
    {
        $bands = Bands::ofEase([10, 20, 35, 50, 70]);
        $falling = static fn(?float $value): ?float => $bands->falling($value, ScoreStyle::Smooth);
        self::assertSame([5.0, 5.0, 4.0, 3.0, 1.0, .5, 0.0, null], array_map($falling, [0.0, 10.0, 20.0, 35.0, 70.0, 85.0, 100.0, null]));
        self::assertSame(4.5, $falling(15.0));
    }

    /** @param list<float> $bounds */
    #[TestWith([[10.0, 10.0, 35.0, 50.0, 70.0]])]
    #[TestWith([[10.0, 20.0, 35.0, 50.0, 100.0]])]
    public function test_bounds_of_ease_rise_and_stay_below_100(array $bounds): void
    {
        $this->expectException(InvalidValue::class);
        Bands::ofEase($bounds);
    }

    public function test_bands_of_a_study_stand_at_its_percentiles(): void
    {
        self::assertEqualsWithDelta([1.0, 3.0, 5.0, 7.0, 9.0], Bands::fromStudy(array_map(floatval(...), range(0, 10)))->bounds(), 1e-12);
    }

    public function test_bands_out_of_order_are_refused(): void
    {
        $this->expectException(InvalidValue::class);
        Bands::of([10, 50, 40, 60, 70]);
    }

    public function test_more_volume_never_lowers_the_score(): void
    {
        $bands = Bands::of([10, 50, 200, 1000, 5000]);
        for ($volume = 0, $score = 0.0; $volume < 6000; $volume += 7) {
            self::assertGreaterThanOrEqual($score, $score = $bands->rising($volume, ScoreStyle::Smooth));
        }
    }

    public function test_priority_is_the_weighted_mean_of_what_is_known(): void
    {
        $weights = Weights::parse('volume:1, ease:2,gain:1');
        self::assertSame(3.25, $weights->priorityOf(self::scores(null, 5, 3, 2, null, null, null)));
        self::assertSame(3.0, $weights->priorityOf(self::scores(null, null, 3, null, 5, 5, 5)));
        self::assertNull($weights->priorityOf(self::scores(null, null, null, null, 5, 5, 5)));
        self::assertSame('volume:1,ease:2,gain:1', (string) $weights);
    }

    #[DataProvider('badWeights')]
    public function test_bad_weights_are_refused(string $text, string $reason): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($reason);
        Weights::parse($text);
    }

    /** @return iterable<string, array{string, string}> */
    public static function badWeights(): iterable
    {
        yield 'nothing' => ['', 'must look like'];
        yield 'no number' => ['volume:much', 'must look like'];
        yield 'negative' => ['volume:-1', 'must look like'];
        yield 'unknown criterion' => ['luck:1', 'is unknown'];
        yield 'all zero' => ['volume:0,ease:0', 'all zero'];
        yield 'twice' => ['volume:1,volume:2', 'twice'];
        yield 'too heavy' => ['volume:1001', 'between 0 and 1000'];
    }

    public function test_the_largest_weight_is_allowed(): void
    {
        self::assertSame(1000.0, Weights::parse('volume:1000,ease:1')->toArray()['volume']);
    }

    public function test_every_preset_can_be_had_and_another_cannot(): void
    {
        foreach (array_keys(Weights::PRESETS) as $name) {
            self::assertGreaterThan(0, array_sum(Weights::preset($name)->toArray()));
        }
        $this->expectException(InvalidValue::class);
        Weights::preset('luck');
    }

    /** @return iterable<string, array{?int, ?float, ?Horizon}> */
    public static function horizons(): iterable
    {
        yield 'in striking distance within comfort' => [6, 30.0, Horizon::QuickWin];
        yield 'at the far end' => [20, 30.0, Horizon::QuickWin];
        yield 'in striking distance beyond comfort' => [6, 31.0, Horizon::ShortTerm];
        yield 'better than striking distance' => [5, 10.0, Horizon::ShortTerm];
        yield 'absent and easy' => [null, 30.0, Horizon::ShortTerm];
        yield 'absent and hard' => [null, 80.0, Horizon::LongTerm];
        yield 'near but too hard' => [18, 80.0, Horizon::LongTerm];
        yield 'unknown difficulty, though we are near' => [6, null, null];
    }

    #[DataProvider('horizons')]
    public function test_the_horizon_follows_position_and_difficulty(?int $position, ?float $difficulty, ?Horizon $horizon): void
    {
        self::assertSame($horizon, $this->weigh($this->candidate($position, new Metrics(1000, $difficulty)))->horizon);
    }

    public function test_a_quick_win_is_worth_it(): void
    {
        $gain = fn(int $volume): Opportunity => $this->weigh($this->candidate(9, new Metrics($volume, 20.0)));
        self::assertSame([Horizon::ShortTerm, Horizon::QuickWin], [$gain(113)->horizon, $gain(114)->horizon]);
        self::assertGreaterThan(9.9, $gain(113)->clicks->gain);
        self::assertNotSame(Horizon::QuickWin, $this->weigh($this->candidate(9, new Metrics(null, 20.0)))->horizon);
    }

    /** @return iterable<string, array{Candidate, Tactic}> */
    public static function tactics(): iterable
    {
        yield 'no page for the topic, though one of ours ranks' => [self::candidate(8), Tactic::NewPage];
        yield 'no page, and two that rank' => [self::candidate(8, hasPageConflict: true), Tactic::NewPage];
        yield 'two pages in the way of each other' => [self::candidate(8, hasPage: true, hasPageConflict: true), Tactic::MergePages];
        yield 'absent with a page' => [self::candidate(null, hasPage: true), Tactic::ExtendPage];
        yield 'beyond 50 with a page' => [self::candidate(51, hasPage: true), Tactic::ExtendPage];
        yield 'slipped by three' => [self::candidate(50, previous: 47, hasPage: true), Tactic::RefreshPage];
        yield 'slipped by two' => [self::candidate(12, previous: 10, hasPage: true), Tactic::ImprovePage];
        yield 'entered' => [self::candidate(12, previous: null, hasPage: true), Tactic::ImprovePage];
    }

    #[DataProvider('tactics')]
    public function test_the_first_tactic_that_holds_is_chosen(Candidate $candidate, Tactic $tactic): void
    {
        self::assertSame($tactic, (new TacticRule())->of($candidate));
    }

    public function test_two_pages_of_ours_within_50_conflict(): void
    {
        $of = static fn(int $position): bool => TacticRule::hasPageConflict(self::candidate(8, rankings: [
            new Ranking('k', 8, 'https://a.example/x'),
            new Ranking('k', $position, 'https://a.example/y'),
        ])->row);
        self::assertSame([true, false], [$of(50), $of(51)]);
    }

    /** φ · ctr(5) = .0476; a test is called for below .7 of it, from 100 impressions on, and wins Σ of half the shrunk gap. */
    public function test_a_title_is_tested_where_a_day_of_that_is_worth_more(): void
    {
        $tactic = fn(int $position, int $clicks, int $impressions, ?float $difficulty = 95.0): string => (string) $this->weigh(
            self::candidate($position, new Metrics(1000, $difficulty), measured: new MeasuredClicks($clicks, $impressions), hasPage: true),
        )->work->tactic;
        self::assertSame('test title', $tactic(5, 10, 1000));
        self::assertSame('improve page + links', $tactic(5, 60, 1000), 'Clicked enough.');
        self::assertSame('improve page + links', $tactic(5, 0, 99), 'Seen too rarely to tell.');
        self::assertSame('improve page + links', $tactic(11, 0, 1000), 'Nobody looks at titles on page two.');
        $weighed = $this->weigh(
            self::candidate(5, new Metrics(1000, 95.0), measured: new MeasuredClicks(10, 1000), hasPage: true),
        );
        $rate = CtrCurve::default()->at(5);
        $gain = 1000 * ($rate - (10 + 200 * $rate) / 1200);
        self::assertEqualsWithDelta(
            [$gain, .5 * $gain, .5, 5],
            [$weighed->work->gain, $weighed->work->expectedGain, $weighed->work->winChance, $weighed->work->target],
            1e-9,
        );
        self::assertSame(Tactic::ImprovePage, $weighed->pageWork->tactic->tactic, 'What it brings to its topic.');
    }

    public function test_features_of_the_results_page_lower_what_a_title_is_held_against(): void
    {
        $isCalledFor = static fn(float $rate): ?bool => TitleTest::of(5, 1000, new MeasuredClicks(3, 100), $rate, .5, .7)?->isCalledFor;
        self::assertSame([true, false], [$isCalledFor(.05), $isCalledFor(.04)]);
        self::assertNull(TitleTest::of(11, 1000, new MeasuredClicks(3, 100), .05, .5, .7));
        self::assertNull(TitleTest::of(5, null, new MeasuredClicks(3, 100), .05, .5, .7));
        self::assertNull(TitleTest::of(5, 1000, new MeasuredClicks(0, 0), .05, .5, .7));
    }

    public function test_links_stand_beside_the_tactic_when_the_page_is_known_not_to_reach_far(): void
    {
        $rule = new TacticRule();
        $has = static fn(Tactic $tactic, ?int $links, ?float $reach): bool => $rule->label($tactic, $links, $reach)->withLinks;
        self::assertSame([true, false, false, false, false], [
            $has(Tactic::NewPage, 1, .24),
            $has(Tactic::NewPage, 1, .25),
            $has(Tactic::NewPage, 0, .1),
            $has(Tactic::NewPage, null, .1),
            $has(Tactic::NewPage, 1, null),
        ]);
        self::assertSame([true, true, false, false, false], array_map(static fn(Tactic $one): bool => $has($one, 1, .1), [
            Tactic::ExtendPage, Tactic::ImprovePage, Tactic::RefreshPage, Tactic::MergePages, Tactic::TestTitle,
        ]));
    }

    public function test_what_is_first_unclaimed_or_a_competitors_brand_is_not_listed(): void
    {
        self::assertFalse($this->weigh($this->candidate(1))->isListed);
        self::assertTrue($this->weigh($this->candidate(2))->isListed);
        self::assertFalse($this->weigh($this->candidate(null, standing: Standing::Unclaimed))->isListed);
        self::assertFalse($this->weigh($this->candidate(null, keyword: 'ink moor pens'))->isListed);
        self::assertTrue($this->weigh($this->candidate(null, keyword: 'ink moor or quillfair'))->isListed);
    }

    public function test_a_persons_word_beats_the_rule(): void
    {
        $opportunity = $this->weigh($this->candidate(null, new Metrics(1000, 20.0), judgement: new Judgement(1, 4, Intent::Buy)));
        self::assertSame(
            [1, Intent::Buy, 4.0, 5.0],
            [
                $opportunity->clicks->target,
                $opportunity->intent,
                $opportunity->scores->at(Criterion::Fit),
                $opportunity->scores->at(Criterion::Intent),
            ],
        );
    }

    public function test_what_the_features_of_the_results_page_take_is_missing_everywhere(): void
    {
        $rulebook = Rulebook::fromTexts(['feature_clicks' => 'answer:.5, video:.8']);
        $whole = $this->weigh($this->candidate(8, new Metrics(1000, 30.0)));
        $less = $this->weigh($this->candidate(8, new Metrics(1000, 30.0), features: ['answer', 'map', 'video']), $rulebook);
        self::assertEqualsWithDelta(
            array_map(static fn(?float $figure): float => .4 * $figure, [
                $whole->clicks->visitsNow,
                $whole->clicks->potential,
                $whole->clicks->gain,
                $whole->work->expectedGain,
            ]),
            [$less->clicks->visitsNow, $less->clicks->potential, $less->clicks->gain, $less->work->expectedGain],
            1e-12,
        );
        self::assertSame($whole->work->winChance, $less->work->winChance);
    }

    public function test_features_are_read_trimmed_in_lower_case_and_each_once(): void
    {
        self::assertSame(['answer', 'map', 'video'], FeatureClicks::together(['Video; answer ;', null, ' MAP;video']));
        self::assertSame([], FeatureClicks::together([null, ';']));
        self::assertSame(1.0, (new FeatureClicks())->shareLeft(['answer']));
    }

    public function test_the_order_puts_unknown_gain_last_and_breaks_ties_as_stated(): void
    {
        $list = [
            // Neither gain nor expected gain; a gain alone; all the others both.
            'e' => $this->weigh($this->candidate(null, new Metrics(null, 5.0), keyword: 'e')),
            'd' => $this->weigh($this->candidate(null, new Metrics(100, null), keyword: 'd')),
            'c' => $this->weigh($this->candidate(null, new Metrics(100, 60.0), keyword: 'c')),
            'b' => $this->weigh($this->candidate(null, new Metrics(100, 55.0), keyword: 'b')),
            'a' => $this->weigh($this->candidate(null, new Metrics(100, 55.0), keyword: 'a')),
            'f' => $this->weigh($this->candidate(null, new Metrics(120, 55.0), keyword: 'f')),
        ];
        uasort($list, (new OpportunityOrder(Weights::preset('plain')))->compare(...));
        self::assertSame(['f', 'a', 'b', 'c', 'd', 'e'], array_keys($list));
    }

    public function test_steadiness_tells_a_safe_choice_from_an_artefact(): void
    {
        $safe = $this->weigh(
            $this->candidate(null, new Metrics(9000, 5.0, 7.0), judgement: new Judgement(fit: 5, intent: Intent::Buy), keyword: 'safe'),
        );
        $poor = $this->weigh($this->candidate(null, new Metrics(5, 90.0, 0.1), judgement: new Judgement(fit: 0), keyword: 'poor'));
        self::assertSame([1.0, 0.0], Steadiness::of([$safe, $poor], Weights::preset('even'), 100, 1, 1));
        self::assertSame([1.0, 1.0], Steadiness::of([$safe, $poor], Weights::preset('even'), 100, 9, 1), 'The top has room for more.');
        self::assertSame([0.0, 0.0], Steadiness::of([$safe, $poor], Weights::preset('even'), 100, 0, 1));
        self::assertSame([], Steadiness::of([], Weights::preset('even'), 100, 3, 1));
        $unknown = $this->weigh($this->candidate(null, Metrics::unknown(), keyword: 'unknown'));
        self::assertSame([1.0, 0.0], Steadiness::of([$poor, $unknown], Weights::parse('volume:1'), 50, 1, 1), 'The unknown comes last.');
        self::assertSame([1.0, 1.0], Steadiness::of([$poor, $unknown], Weights::parse('volume:1'), 50, 2, 1));
    }

    /**
     * Closed form: one item scores 5 in volume alone, the other 5 in gain alone, all else alike. It leads when its weight is the
     * larger one, which for weights uniform on the simplex is one half by symmetry; five standard errors of 4,000 draws.
     */
    public function test_steadiness_agrees_with_a_closed_form(): void
    {
        $base = $this->weigh($this->candidate(null, new Metrics(100, 55.0)));
        $with = static fn(Scores $scores): Opportunity => new Opportunity(
            $base->candidate,
            $base->clicks,
            $base->work,
            $base->pageWork,
            null,
            null,
            $base->linksToEarn,
            $base->intent,
            $base->horizon,
            $base->worth,
            $scores,
            0,
            true,
        );
        $shares = Steadiness::of(
            [$with(self::scores(0, 5, 0, 0, 0, 0, 0, 0)), $with(self::scores(0, 0, 0, 5, 0, 0, 0, 0))],
            Weights::preset('even'),
            4000,
            1,
            3,
        );
        self::assertEqualsWithDelta(0.5, $shares[0], 5 * sqrt(0.25 / 4000));
        self::assertEqualsWithDelta(1.0, array_sum($shares), 1e-12);
    }

    /**
     * The order itself, drawn and sorted in full for each draw: on scores with many ties, and on smooth ones that are hardly ever alike.
     */
    #[TestWith(['reach', true])]
    #[TestWith(['even', true])]
    #[TestWith(['even', false])]
    public function test_steadiness_of_the_leaders_is_that_of_sorting_every_draw(string $preset, bool $hasTies): void
    {
        mt_srand(5);
        $base = $this->weigh($this->candidate(null, new Metrics(100, 55.0)));
        $list = [];
        for ($number = 0; $number < 90; ++$number) {
            $weighed = $this->weigh(
                $this->candidate(null, new Metrics(mt_rand(0, 5) === 0 ? null : 10 * mt_rand(1, 4), 55.0), keyword: 'k'.$number),
            );
            $score = static fn(string $criterion): ?float => match (true) {
                mt_rand(0, 5) === 0 => null,
                $hasTies => (float) mt_rand(1, 3),
                default => mt_rand(0, 5000) / 1000,
            };
            $expected = mt_rand(0, 8) === 0 ? null : $weighed->work->expectedGain;
            $work = new Work($base->work->tactic, 3, $weighed->work->gain, null, $expected, null);
            $list[] = new Opportunity(
                $weighed->candidate,
                $weighed->clicks,
                $work,
                $work,
                null,
                null,
                null,
                $base->intent,
                null,
                null,
                Scores::inOrder(...array_map($score, Criterion::names())),
                0,
                true,
            );
        }
        $weights = Weights::preset($preset);
        $criteria = array_map(static fn(Criterion $one): string => $one->value, $weights->criteria());
        $random = new Randomizer(new Mt19937(9));
        $stays = array_fill(0, 90, 0);
        for ($draw = 0; $draw < 200; ++$draw) {
            $exponential = array_map(static fn(): float => -log(($random->getInt(0, (1 << 52) - 1) + 0.5) / 2 ** 52), $criteria);
            $order = new OpportunityOrder(
                Weights::of(
                    array_combine($criteria, array_map(static fn(float $part): float => $part / array_sum($exponential), $exponential)),
                ),
            );
            $numbers = range(0, 89);
            usort($numbers, static fn(int $a, int $b): int => $order->compare($list[$a], $list[$b]));
            foreach (\array_slice($numbers, 0, 8) as $number) {
                ++$stays[$number];
            }
        }
        self::assertSame(
            array_map(static fn(int $times): float => $times / 200, $stays),
            Steadiness::of($list, $weights, 200, 8, 9),
        );
    }

    private function weigh(Candidate $candidate, ?Rulebook $rulebook = null): Opportunity
    {
        return (new Weigher(
            ($rulebook ?? Rulebook::standard())->weighing(),
            UnlearntModels::of(),
            BrandMatcher::of([['quillfair'], ['ink moor']]),
        ))->weigh($candidate);
    }

    /**
     * @param ?list<Ranking> $rankings
     * @param list<string>   $features
     */
    private static function candidate(
        ?int $position,
        Metrics $metrics = new Metrics(100, 20.0),
        ?array $rankings = null,
        ?int $previous = null,
        ?MeasuredClicks $measured = null,
        bool $hasPage = false,
        bool $hasPageConflict = false,
        Judgement $judgement = new Judgement(),
        string $keyword = 'k',
        Standing $standing = Standing::Behind,
        array $features = [],
    ): Candidate {
        $rankings ??= $position === null ? [] : [new Ranking($keyword, $position, 'https://a.example/x')];
        $row = new ComparisonRow(
            $keyword,
            $standing,
            [$position, 3],
            [$previous, null],
            $rankings,
            1,
            3,
            1,
            1,
            3,
            Movement::between($previous, $position),
        );

        return new Candidate(
            $row,
            $metrics,
            $judgement,
            Ground::none(),
            measured: $measured,
            hasPage: $hasPage,
            hasPageConflict: $hasPageConflict,
            features: $features,
        );
    }

    /** The first scores in the order of `Criterion`; those that are not named are unknown. */
    private static function scores(?float ...$first): Scores
    {
        return Scores::inOrder(...array_pad(array_values($first), \count(Criterion::cases()), null));
    }
}
