<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
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
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\OpportunityOrder;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Priority\Weigher;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinModel;
use GreaterReach\Core\Winning\WinObservations;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class PriorityTest extends TestCase
{
    public function test_rising_bands_give_a_point_per_bound_reached(): void
    {
        $bands = Bands::of([10, 50, 200, 1000, 5000]);
        self::assertSame([0, 1, 1, 2, 5, 5, null], array_map($bands->rising(...), [9.9, 10.0, 49.0, 50.0, 5000.0, 1e9, null]));
    }

    public function test_falling_bands_take_a_point_per_bound_passed(): void
    {
        $bands = Bands::of([10, 20, 35, 50, 70]);
        self::assertSame([5, 5, 4, 3, 2, 1, 0, null], array_map($bands->falling(...), [0.0, 10.0, 10.1, 35.0, 50.0, 70.0, 70.1, null]));
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
        for ($volume = 0, $score = 0; $volume < 6000; $volume += 7) {
            self::assertGreaterThanOrEqual($score, $score = $bands->rising($volume));
        }
    }

    public function test_priority_is_the_weighted_mean_of_what_is_known(): void
    {
        $weights = Weights::parse('volume:1, ease:2,gain:1');
        self::assertSame(3.25, $weights->priorityOf(self::scores(5, 3, 2, null, null, null)));
        self::assertSame(3.0, $weights->priorityOf(self::scores(null, 3, null, 5, 5, 5)));
        self::assertNull($weights->priorityOf(self::scores(null, null, null, 5, 5, 5)));
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
        yield 'in striking distance beyond comfort, page one' => [6, 31.0, Horizon::ShortTerm];
        yield 'better than striking distance' => [5, 10.0, Horizon::ShortTerm];
        yield 'absent and easy' => [null, 30.0, Horizon::ShortTerm];
        yield 'absent and hard' => [null, 80.0, Horizon::LongTerm];
        yield 'unknown difficulty, though the chance is 1' => [6, null, null];
    }

    #[DataProvider('horizons')]
    public function test_the_horizon_follows_position_and_difficulty(?int $position, ?float $difficulty, ?Horizon $horizon): void
    {
        self::assertSame($horizon, $this->weigh($this->candidate($position, new Metrics(100, $difficulty)))->horizon);
    }

    /** @return iterable<string, array{Candidate, Tactic}> */
    public static function tactics(): iterable
    {
        $two = [new Ranking('k', 8, 'https://a.example/x'), new Ranking('k', 50, 'https://a.example/y')];
        yield 'two pages in the way of each other' => [self::candidate(8, rankings: $two), Tactic::MergePages];
        yield 'the second beyond 50' => [
            self::candidate(8, rankings: [$two[0], new Ranking('k', 51, 'https://a.example/y')]),
            Tactic::ImprovePage,
        ];
        yield 'absent' => [self::candidate(null), Tactic::NewPage];
        yield 'beyond 50' => [self::candidate(51), Tactic::NewPage];
        yield 'absent, a page of ours serves the topic' => [self::candidate(null, topicHasOwnPage: true), Tactic::ExtendPage];
        yield 'clicked too little' => [self::candidate(5, measured: new MeasuredClicks(4, 100)), Tactic::TestTitle];
        yield 'clicked enough' => [self::candidate(5, measured: new MeasuredClicks(5, 100)), Tactic::ImprovePage];
        yield 'seen too rarely to tell' => [self::candidate(5, measured: new MeasuredClicks(0, 99)), Tactic::ImprovePage];
        yield 'clicked too little on page two' => [self::candidate(11, measured: new MeasuredClicks(0, 1000)), Tactic::ImprovePage];
        yield 'slipped by three' => [self::candidate(12, previous: 9), Tactic::RefreshPage];
        yield 'slipped by two' => [self::candidate(12, previous: 10), Tactic::ImprovePage];
        yield 'entered' => [self::candidate(12, previous: null), Tactic::ImprovePage];
    }

    #[DataProvider('tactics')]
    public function test_the_first_tactic_that_holds_is_chosen(Candidate $candidate, Tactic $tactic): void
    {
        self::assertSame($tactic, (new TacticRule(CtrCurve::default()))->of($candidate));
    }

    public function test_links_stand_beside_the_tactic_when_the_chance_is_known_to_be_low(): void
    {
        self::assertSame(
            [true, false, false, false],
            [
                TacticRule::needsLinks(1, 0.34),
                TacticRule::needsLinks(1, 0.35),
                TacticRule::needsLinks(0, 0.1),
                TacticRule::needsLinks(1, null),
            ],
        );
        self::assertSame('new page + links', $this->weigh($this->candidate(null, new Metrics(100, 80.0)))->tacticLabel()->__toString());
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
            [1, Intent::Buy, 4, 5],
            [
                $opportunity->clicks->target,
                $opportunity->intent,
                $opportunity->scores->at(Criterion::Fit),
                $opportunity->scores->at(Criterion::Intent),
            ],
        );
    }

    public function test_expected_gain_is_chance_times_gain(): void
    {
        $opportunity = $this->weigh($this->candidate(null, new Metrics(1000, 30.0)));
        self::assertEqualsWithDelta([.5, 57.0], [$opportunity->winChance, $opportunity->expectedGain], 1e-12);
        self::assertNull($this->weigh($this->candidate(null, new Metrics(null, 30.0)))->expectedGain);
    }

    public function test_the_order_puts_unknown_gain_last_and_breaks_ties_as_stated(): void
    {
        $list = [
            'e' => $this->weigh($this->candidate(null, new Metrics(null, 5.0), keyword: 'e')),
            'd' => $this->weigh($this->candidate(null, new Metrics(100, null), keyword: 'd')),
            'c' => $this->weigh($this->candidate(null, new Metrics(100, 60.0), keyword: 'c')),
            'b' => $this->weigh($this->candidate(null, new Metrics(100, 55.0), keyword: 'b')),
            'a' => $this->weigh($this->candidate(null, new Metrics(100, 55.0), keyword: 'a')),
            'f' => $this->weigh($this->candidate(null, new Metrics(120, 55.0), keyword: 'f')),
        ];
        uasort($list, (new OpportunityOrder(Weights::plain()))->compare(...));
        self::assertSame(['d', 'f', 'a', 'b', 'c', 'e'], array_keys($list));
    }

    public function test_steadiness_tells_a_safe_choice_from_an_artefact(): void
    {
        $safe = $this->weigh(
            $this->candidate(null, new Metrics(9000, 5.0, 7.0), judgement: new Judgement(fit: 5, intent: Intent::Buy), keyword: 'safe'),
        );
        $poor = $this->weigh($this->candidate(null, new Metrics(5, 90.0, 0.1), judgement: new Judgement(fit: 0), keyword: 'poor'));
        self::assertSame([1.0, 0.0], Steadiness::of([$safe, $poor], 100, 1, 1));
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
            $base->winChance,
            $base->expectedGain,
            $base->linksToEarn,
            $base->intent,
            $base->horizon,
            $base->tactic,
            $base->withLinks,
            $scores,
            0,
            true,
        );
        $shares = Steadiness::of([$with(self::scores(5, 0, 0, 0, 0, 0)), $with(self::scores(0, 0, 5, 0, 0, 0))], 4000, 1, 3);
        self::assertEqualsWithDelta(0.5, $shares[0], 5 * sqrt(0.25 / 4000));
        self::assertEqualsWithDelta(1.0, array_sum($shares), 1e-12);
    }

    /** The order itself, drawn and sorted in full for each draw, on random scores with many ties. */
    public function test_steadiness_by_groups_is_that_of_sorting_every_draw(): void
    {
        mt_srand(5);
        $base = $this->weigh($this->candidate(null, new Metrics(100, 55.0)));
        $list = [];
        for ($number = 0; $number < 60; ++$number) {
            $weighed = $this->weigh(
                $this->candidate(null, new Metrics(mt_rand(0, 5) === 0 ? null : 10 * mt_rand(1, 4), 55.0), keyword: 'k'.$number),
            );
            $score = static fn(string $criterion): ?int => [null, 1, 2, 3][mt_rand(0, 3)];
            $list[] = new Opportunity(
                $weighed->candidate,
                $weighed->clicks,
                $base->winChance,
                null,
                null,
                $base->intent,
                null,
                $base->tactic,
                false,
                Scores::inOrder(...array_map($score, Criterion::names())),
                0,
                true,
            );
        }
        $random = new Randomizer(new Mt19937(9));
        $stays = array_fill(0, 60, 0);
        for ($draw = 0; $draw < 200; ++$draw) {
            $exponential = array_map(static fn(): float => -log(($random->getInt(0, (1 << 52) - 1) + 0.5) / 2 ** 52), Criterion::names());
            $order = new OpportunityOrder(
                Weights::of(
                    array_combine(
                        Criterion::names(),
                        array_map(static fn(float $part): float => $part / array_sum($exponential), $exponential),
                    ),
                ),
            );
            $numbers = range(0, 59);
            usort($numbers, static fn(int $a, int $b): int => $order->compare($list[$a], $list[$b]));
            foreach (\array_slice($numbers, 0, 8) as $number) {
                ++$stays[$number];
            }
        }
        self::assertSame(array_map(static fn(int $times): float => $times / 200, $stays), Steadiness::of($list, 200, 8, 9));
    }

    private function weigh(Candidate $candidate): Opportunity
    {
        $comfort = ComfortDifficulty::fromDifficulties([]);
        $models = new Models(
            CtrCurve::default(),
            $comfort,
            WinModel::fit(new WinObservations([]), [[]], 1.0, $comfort),
            LinksNeeded::fit([], []),
        );

        return (new Weigher(Rulebook::standard()->weighing(), $models, BrandMatcher::of([['quillfair'], ['ink moor']])))->weigh($candidate);
    }

    /** @param ?list<Ranking> $rankings */
    private static function candidate(
        ?int $position,
        Metrics $metrics = new Metrics(100, 20.0),
        ?array $rankings = null,
        ?int $previous = null,
        ?MeasuredClicks $measured = null,
        bool $topicHasOwnPage = false,
        Judgement $judgement = new Judgement(),
        string $keyword = 'k',
        Standing $standing = Standing::Behind,
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

        return new Candidate($row, $metrics, $judgement, null, 0, $measured, $topicHasOwnPage);
    }

    /** The first scores in the order of `Criterion`; those that are not named are unknown. */
    private static function scores(?int ...$first): Scores
    {
        return Scores::inOrder(...array_pad(array_values($first), \count(Criterion::cases()), null));
    }
}
