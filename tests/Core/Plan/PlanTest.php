<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\AutoPlan;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\Forecast;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Knapsack;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Placement;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Plan\SeasonKind;
use GreaterReach\Core\Plan\WorkItem;
use GreaterReach\Core\Priority\Effort;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\Shifts;
use PHPUnit\Framework\TestCase;

final class PlanTest extends TestCase
{
    /**
     * Source: instance P01 of the collection after Kreher and Stinson, Combinatorial Algorithms (from memory): capacity 165, optimum 309.
     */
    public function test_the_knapsack_solves_a_published_instance(): void
    {
        $weights = [23, 31, 29, 44, 53, 38, 63, 85, 89, 82];
        $values = array_map(floatval(...), [92, 57, 49, 68, 60, 43, 67, 84, 87, 72]);
        $chosen = Knapsack::solve($weights, $values, 165);
        self::assertSame([0, 1, 2, 3, 5], $chosen);
        self::assertSame(309.0, array_sum(array_map(static fn(int $item): float => $values[$item], $chosen)));
    }

    public function test_the_knapsack_is_exact_on_200_random_instances(): void
    {
        mt_srand(3);
        for ($instance = 0; $instance < 200; ++$instance) {
            $count = mt_rand(1, 11);
            $weights = array_map(static fn(): int => mt_rand(0, 9), range(1, $count));
            // Few different values, so that many choices bring alike.
            $values = array_map(static fn(): float => mt_rand(0, $instance % 2 === 0 ? 50 : 4) / 4, range(1, $count));
            $capacity = mt_rand(0, 25);
            $chosen = Knapsack::solve($weights, $values, $capacity);
            self::assertSame(self::bruteForce($weights, $values, $capacity), $chosen);
        }
    }

    public function test_months_count_and_read_as_written(): void
    {
        $month = Month::parse('2026-11');
        self::assertSame(
            ['2027-01', '2025-12', 11, 2],
            [(string) $month->plus(2), (string) $month->plus(-11), $month->ofYear(), $month->until(Month::parse('2027-01'))],
        );
        $this->expectException(InvalidValue::class);
        Month::parse('2026-13');
    }

    public function test_a_season_has_its_peak_and_a_month_to_publish_by(): void
    {
        $season = Season::of(new Metrics(monthly: [0, 0, 10, 60, 40, 10, 0, 0, 0, 0, 0, 0]));
        self::assertEqualsWithDelta([6.0, 0.0], [$season->index(4), $season->index(1)], 1e-12);
        self::assertSame(4, $season->peak());
        self::assertSame('2026-12', (string) $season->publishBy(Month::parse('2026-11'), 4));
        self::assertSame(
            '2027-12',
            (string) $season->publishBy(Month::parse('2027-01'), 4),
            'April 2027 can no longer be reached in time.',
        );
        self::assertSame('2026-12', (string) $season->publishBy(Month::parse('2026-12'), 4));
    }

    public function test_what_is_even_or_unknown_is_steady(): void
    {
        foreach (
            [array_fill(0, 12, 7), [...array_fill(0, 11, 10), 14], array_fill(0, 12, 0), [...array_fill(0, 11, 1), null], null] as $monthly
        ) {
            $season = Season::of(new Metrics(monthly: $monthly));
            self::assertNull($season->peak());
            self::assertNull($season->publishBy(Month::parse('2026-11'), 2));
        }
    }

    public function test_effort_is_the_tactics_and_grows_with_the_keywords_of_a_page(): void
    {
        $effort = Rulebook::standard()->effort();
        $days = static fn(Tactic $tactic): float => $effort->days($tactic);
        self::assertSame([3.0, 1.5, 1.0, 1.5, 1.0, .5], array_map($days, Tactic::cases()));
        self::assertSame(
            [4.5, 3.0, 2.5, 3.0, 2.5, .5],
            array_map(static fn(Tactic $tactic): float => $effort->days($tactic, 31), Tactic::cases()),
            'A title is tested once.',
        );
        self::assertSame([4, 3, 2, 2, 2, 1], array_map($effort->ramp(...), Tactic::cases()));
        self::assertSame([null, null, 4.0], [Effort::worth(null, 1.0), Effort::worth(3.0, 0.0), Effort::worth(6.0, 1.5)]);
    }

    public function test_each_month_takes_the_best_that_fits(): void
    {
        $plan = self::plan(2, 2, [['a', 1.5, 10], ['b', 1, 8], ['c', 1, 7], ['d', .4, 1]]);
        // In two days b and c bring 15, a and d 11; what is left comes a month later.
        self::assertSame(['b' => [0, 0], 'c' => [0, 0], 'a' => [1, 1], 'd' => [1, 1]], $plan);
    }

    public function test_pinned_items_come_first(): void
    {
        self::assertSame(['b' => [0, 0], 'a' => [1, 1]], self::plan(2, 1, [['a', 1, 10], ['b', 1, 1, true]]));
    }

    public function test_an_item_over_a_month_is_left_out_and_named(): void
    {
        $items = [['big', 2.5, 100], ['small', 1, 5], ['fixed', 3, 1, true]];
        self::assertSame(['fixed' => [0, 1], 'small' => [1, 1]], self::plan(2, 2, $items));
        $leftOut = (new AutoPlan(2, 2))->leftOut(self::items($items));
        self::assertSame(['big'], array_map(static fn(WorkItem $item): string => $item->name, $leftOut));
    }

    public function test_a_pinned_item_over_a_month_takes_the_first_months_whatever_it_brings(): void
    {
        $items = [['big', 5, 1, true], ['dear', 2, 900], ['small', 1, 5]];
        self::assertSame(['big' => [0, 2], 'small' => [2, 2], 'dear' => [3, 3]], self::plan(4, 2, $items));
        self::assertSame(
            ['dear' => [0, 0], 'small' => [1, 1]],
            self::plan(2, 2, $items),
            'Where it cannot end within the plan it is left out like any other.',
        );
    }

    public function test_an_item_that_just_ends_within_the_plan_is_placed(): void
    {
        self::assertSame(['big' => [0, 1]], self::plan(2, 2, [['big', 4, 100, true]]));
        self::assertSame([], self::plan(2, 2, [['big', 4.5, 100, true]]));
    }

    public function test_a_pinned_item_is_kept_however_many_bring_more(): void
    {
        $items = [['pinned', 1, 1, true], ...array_map(static fn(int $number): array => ['k'.$number, 1, 100 + $number], range(1, 300))];
        self::assertSame(['pinned', 'k300'], array_keys(self::plan(1, 2, $items)));
    }

    public function test_capacity_0_and_nothing_to_do_are_empty_plans(): void
    {
        self::assertSame([], self::plan(3, 0, [['a', 1, 10]]));
        self::assertSame([], self::plan(3, 5, []));
    }

    public function test_a_plan_never_exceeds_its_capacity(): void
    {
        mt_srand(9);
        for ($round = 0; $round < 60; ++$round) {
            $items = array_map(
                static fn(int $number): array => ['k'.$number, mt_rand(1, 60) / 8, mt_rand(0, 900) / 7, mt_rand(0, 9) === 0],
                range(1, 40),
            );
            $capacity = mt_rand(1, 12) / 2;
            $used = array_fill(0, 4, 0.0);
            foreach ((new AutoPlan(4, $capacity))->place(self::items($items)) as $placement) {
                if ($placement->begins === $placement->ends) {
                    $used[$placement->begins] += $placement->item->units() / 2;
                }
            }
            self::assertLessThanOrEqual($capacity, max($used));
        }
    }

    public function test_within_a_month_the_better_rank_comes_first_and_is_chosen_first(): void
    {
        self::assertSame(['b' => [0, 0], 'a' => [0, 0], 'c' => [1, 1]], self::plan(2, 2, [['b', 1, 5], ['a', 1, 5], ['c', 1, 5]]));
        self::assertSame(['a' => [0, 0]], self::plan(1, 1.5, [['a', 1.5, 10], ['b', .5, 4], ['c', 1, 6]]), 'Equal sums: the first.');
    }

    public function test_the_five_hundred_of_most_worth_are_candidates(): void
    {
        $short = array_map(static fn(int $number): array => ['k'.$number, 1, 10], range(1, 499));
        $long = ['long', 1.5, 14];
        self::assertSame(['long'], array_keys(self::plan(1, 1.5, [$long, ...$short])));
        self::assertSame(['k0'], array_keys(self::plan(1, 1.5, [['k0', 1, 10], $long, ...$short])));
    }

    public function test_a_plan_needs_a_month(): void
    {
        $this->expectException(InvalidArgument::class);
        new AutoPlan(0, 5);
    }

    public function test_an_item_pays_by_its_ramp_and_season(): void
    {
        $item = self::promise(100, 1.0, ramp: 4);
        self::assertSame(
            [0.0, .25, 1.0, 1.0],
            array_map(static fn(string $month): float => $item->shareIn(Month::parse($month)), [
                '2026-11',
                '2026-12',
                '2027-03',
                '2027-09',
            ]),
        );
    }

    public function test_what_finished_work_has_brought_is_not_forecast_again(): void
    {
        $shares = static fn(?string $counted): array => array_map(
            static fn(string $month): float => self::promise(100, 1.0, ramp: 4, counted: $counted)->shareIn(Month::parse($month)),
            ['2026-12', '2027-01', '2027-03', '2027-09'],
        );
        self::assertSame([.25, .5, 1.0, 1.0], $shares(null));
        self::assertSame([.25, .5, 1.0, 1.0], $shares('2026-11'), 'Counted when it was done: nothing has come.');
        self::assertSame([0.0, .25, .75, .75], $shares('2026-12'));
        self::assertSame([0.0, 0.0, 0.0, 0.0], $shares('2027-03'), 'All of it is in today’s visits.');
    }

    /**
     * Closed forms, with the chance p: mean p·g, variance g²(p·e^(σ²) − p²), as the volume is lognormal with mean 1; the mean of the
     * draws within four standard errors.
     */
    public function test_the_forecast_agrees_with_its_closed_form(): void
    {
        $month = Month::parse('2027-06');
        $items = array_map(static fn(int $number): ForecastItem => self::promise(10.0 * $number, $number / 24), range(1, 10));
        $mean = $variance = 0.0;
        foreach (range(1, 10) as $number) {
            $chance = $number / 24;
            $mean += $chance * 10 * $number;
            $variance += (10 * $number) ** 2 * ($chance * exp(.3 ** 2) - $chance ** 2);
        }
        $forecast = new Forecast(20_000, 0.3, 1, self::effects());
        $drawn = $forecast->totals($items, $month);
        $means = array_map(static fn(ForecastItem $item): float => $item->expectedGain(Shifts::means(self::effects())), $items);
        self::assertEqualsWithDelta($mean, array_sum($means), 1e-9);
        self::assertEqualsWithDelta($mean, array_sum($drawn) / 20_000, 4 * sqrt($variance / 20_000));
        $squares = array_sum(array_map(static fn(float $total): float => ($total - $mean) ** 2, $drawn)) / 20_000;
        self::assertEqualsWithDelta($variance, $squares, .1 * $variance);
        $band = $forecast->bands($items, [$month])[0];
        self::assertEqualsWithDelta(array_sum($drawn) / 20_000, $band->mean, 1e-9, 'The mean of a band is that of its draws.');
        $below = array_filter($drawn, static fn(float $total): bool => $total < $band->p10);
        self::assertEqualsWithDelta(.1, \count($below) / 20_000, .001);
    }

    public function test_a_certain_item_without_spread_has_no_band(): void
    {
        $bands = (new Forecast(50, 0.0, 1, self::effects()))->bands([self::promise(80, 1.0, ramp: 1)], [Month::parse('2027-01')]);
        self::assertEquals([new Band(80.0, 80.0, 80.0, 80.0)], $bands);
    }

    public function test_an_item_draws_the_same_in_every_plan(): void
    {
        [$one, $other] = [self::promise(80, .2), self::promise(30, .2)];
        $month = Month::parse('2027-09');
        $both = (new Forecast(200, 0.3, 7, self::effects()))->totals([$other, $one], $month);
        $alone = (new Forecast(200, 0.3, 7, self::effects()))->totals([$one], $month);
        $rest = (new Forecast(200, 0.3, 7, self::effects()))->totals([$other], $month);
        self::assertEqualsWithDelta(
            $both,
            array_map(static fn(float $a, float $b): float => $a + $b, $alone, $rest),
            1e-9,
            'One on or off.',
        );
        self::assertNotEquals($alone, (new Forecast(200, 0.3, 8, self::effects()))->totals([$one], $month), 'Another seed draws others.');
    }

    public function test_a_result_without_a_clear_change_counts_as_none(): void
    {
        $band = new Band(0, 4, 90, 20);
        self::assertSame(
            [true, true, false, true, false],
            [$band->holds(5, false), $band->holds(-3, true), $band->holds(-3, false), $band->holds(90, false), $band->holds(91, false)],
        );
        self::assertFalse((new Band(10, 50, 90, 50))->holds(-3, true), 'The forecast was sure of more than nothing.');
        self::assertTrue((new Band(10, 50, 90, 50))->holds(11, true));
    }

    public function test_an_outcome_waits_for_the_ramp(): void
    {
        $band = new Band(10, 50, 90, 50);
        $of = static fn(float $visits, string $now): Outcome => Outcome::of($visits, $band, Month::parse('2026-11'), Month::parse($now), 2);
        self::assertSame(
            [Outcome::TooEarly, Outcome::Below, Outcome::Inside, Outcome::Inside, Outcome::Above],
            [$of(5, '2026-12'), $of(5, '2027-01'), $of(10, '2027-01'), $of(90, '2027-01'), $of(91, '2027-01')],
        );
    }

    /**
     * @param list<array{0: string, 1: float|int, 2: float|int, 3?: bool}> $items
     *
     * @return array<string, array{int, int}>
     */
    private static function plan(int $months, float $capacity, array $items): array
    {
        $placements = (new AutoPlan($months, $capacity))->place(self::items($items));

        return array_combine(
            array_map(static fn(Placement $placement): string => $placement->item->name, $placements),
            array_map(static fn(Placement $placement): array => [$placement->begins, $placement->ends], $placements),
        );
    }

    /**
     * @param list<array{0: string, 1: float|int, 2: float|int, 3?: bool}> $items
     *
     * @return list<WorkItem>
     */
    private static function items(array $items): array
    {
        return array_map(
            static fn(array $item): WorkItem => new WorkItem($item[0], (float) $item[1], (float) $item[2], $item[3] ?? false),
            $items,
        );
    }

    private static function effects(): Effects
    {
        return Effects::learn(0, 0.0);
    }

    /** All or nothing, done in November 2026. */
    private static function promise(float $gain, float $chance, int $ramp = 2, ?string $counted = null): ForecastItem
    {
        return new ForecastItem(
            "brings {$gain}",
            PlaceGains::title($gain, $chance),
            Season::steady(),
            Month::parse('2026-11'),
            $ramp,
            $counted === null ? null : Month::parse($counted),
        );
    }

    /**
     * @param list<int>   $weights
     * @param list<float> $values
     *
     * @return list<int> of all choices that bring most the one that holds the first item, then the next; nothing that brings nothing
     */
    private static function bruteForce(array $weights, array $values, int $capacity): array
    {
        $best = 0.0;
        $chosen = [];
        for ($mask = 0; $mask < 1 << \count($weights); ++$mask) {
            $items = array_values(array_filter(array_keys($weights), static fn(int $item): bool => ($mask >> $item & 1) === 1));
            $weight = array_sum(array_map(static fn(int $item): int => $weights[$item], $items));
            $value = (float) array_sum(array_map(static fn(int $item): float => $values[$item], $items));
            $isIdle = array_filter($items, static fn(int $item): bool => $values[$item] <= 0.0) !== [];
            if ($weight > $capacity || $isIdle || $value < $best) {
                continue;
            }
            // Held as a word of letters: the earlier an item the earlier its letter, and none sorts last.
            $word = static fn(array $list): string => implode('', array_map(static fn(int $item): string => \chr(97 + $item), $list)).'~';
            if ($value > $best || strcmp($word($items), $word($chosen)) < 0) {
                [$best, $chosen] = [$value, $items];
            }
        }

        return $chosen;
    }

    public function test_what_brings_nothing_is_not_planned_and_what_costs_nothing_is(): void
    {
        $placed = array_column((new AutoPlan(2, 5))->place(self::items([['nothing', 1, 0], ['little', 1, .1], ['free', 0, 3]])), 'item');
        $names = array_map(static fn(WorkItem $item): string => $item->name, $placed);
        sort($names);
        self::assertSame(['free', 'little'], $names);
    }

    public function test_pinned_work_that_fills_a_month_takes_a_whole_one_and_what_is_larger_is_split(): void
    {
        $months = static function (float $days): array {
            $placements = (new AutoPlan(3, 4))->place(self::items([['first', 1, 9, true], ['large', $days, 9, true]]));
            foreach ($placements as $placement) {
                if ($placement->item->name === 'large') {
                    return [$placement->begins, $placement->ends];
                }
            }

            return [];
        };
        self::assertSame([1, 1], $months(4.0));
        self::assertSame([0, 1], $months(4.5));
    }

    public function test_a_year_is_seasonal_from_half_as_much_again_on_and_its_peak_the_first_of_the_largest(): void
    {
        $even = array_fill(0, 9, 100);
        $just = Season::of(new Metrics(monthly: [...$even, 50, 100, 150]));
        self::assertSame([true, SeasonKind::Seasonal, 12], [$just->isSeasonal(), $just->kind(), $just->peak()]);
        $under = Season::of(new Metrics(monthly: [...$even, 51, 100, 149]));
        self::assertSame([false, SeasonKind::Steady, null], [$under->isSeasonal(), $under->kind(), $under->peak()]);
        self::assertSame(3, Season::of(new Metrics(monthly: [0, 0, 50, 0, 50, 0, 0, 0, 0, 0, 0, 0]))->peak());
        self::assertSame(SeasonKind::Steady, Season::steady()->kind());
    }

    public function test_large_pinned_work_begins_in_the_first_month_that_has_any_room(): void
    {
        $placements = (new AutoPlan(4, 2))->place(self::items([['first', 2, 9, true], ['large', 3, 9, true], ['last', 1, 1, true]]));
        $months = [];
        foreach ($placements as $placement) {
            $months[$placement->item->name] = [$placement->begins, $placement->ends];
        }
        self::assertSame(['first' => [0, 0], 'large' => [1, 2], 'last' => [2, 2]], $months);
    }
}
