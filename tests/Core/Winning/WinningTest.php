<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinChance;
use GreaterReach\Core\Winning\WinModel;
use GreaterReach\Core\Winning\WinObservations;
use PHPUnit\Framework\TestCase;

final class WinningTest extends TestCase
{
    public function test_comfort_is_the_mean_with_percentiles_of_type_7(): void
    {
        $comfort = ComfortDifficulty::fromDifficulties([10.0, 20.0, 30.0, 40.0, 50.0, 60.0, 70.0, 80.0, 90.0, 100.0]);
        self::assertEqualsWithDelta([55.0, 55.0, 77.5, 91.0], [$comfort->value, $comfort->p50, $comfort->p75, $comfort->p90], 1e-12);
        self::assertFalse($comfort->isAssumed);
    }

    public function test_comfort_is_assumed_with_fewer_than_ten_keywords(): void
    {
        $comfort = ComfortDifficulty::fromDifficulties(array_fill(0, 9, 80.0));
        self::assertSame([30.0, true, 9, 80.0], [$comfort->value, $comfort->isAssumed, $comfort->keywords, $comfort->p50]);
        self::assertNull(ComfortDifficulty::fromDifficulties([])->p50);
    }

    public function test_comfort_counts_our_first_page_with_enough_volume_and_no_brand(): void
    {
        self::assertTrue(ComfortDifficulty::counts(10, 100, 100));
        self::assertFalse(ComfortDifficulty::counts(11, 100, 100));
        self::assertFalse(ComfortDifficulty::counts(1, 99, 100));
        self::assertFalse(ComfortDifficulty::counts(1, null, 100));
    }

    public function test_with_too_little_to_learn_the_curve_stands_around_the_comfort(): void
    {
        $comfort = ComfortDifficulty::fromDifficulties([]);
        $model = WinModel::fit(new WinObservations([0]), [[]], 1.0, $comfort);
        self::assertTrue($model->isAssumed);
        self::assertEqualsWithDelta(.5, $model->chanceAt(30.0), 1e-12);
        self::assertEqualsWithDelta(1 / (1 + exp(1)), $model->chanceAt(38.0), 1e-12);
    }

    public function test_one_class_alone_teaches_nothing(): void
    {
        $always = $this->observations(static fn(): bool => true);
        $model = WinModel::fit($always, self::authorities(40.0, 60.0), 1.0, ComfortDifficulty::fromDifficulties([]));
        self::assertTrue($model->isAssumed);
        self::assertSame(400, $model->rows);
    }

    public function test_the_model_learns_difficulty_and_authority(): void
    {
        $model = WinModel::fit(
            $this->observations(
                static fn(int $domain, float $difficulty): bool => fmod($difficulty * 7.3, 40) > $difficulty - 30 * $domain,
            ),
            self::authorities(40.0, 60.0),
            1.0,
            ComfortDifficulty::fromDifficulties([]),
        );
        self::assertLessThan(0, $model->difficultySlope);
        self::assertGreaterThan(0, $model->slopes['authority']);
        self::assertGreaterThan($model->chanceAt(80.0), $model->chanceAt(10.0));
        self::assertSame(400, array_sum(array_column($model->calibration, 'rows')));
        self::assertLessThan(.25, $model->brierScore);
    }

    public function test_authority_is_left_out_when_one_domain_has_none_or_all_are_alike(): void
    {
        foreach ([[40.0, null], [40.0, 40.0]] as $authorities) {
            $model = WinModel::fit(
                $this->observations(static fn(int $domain, float $difficulty): bool => $difficulty < 50),
                self::authorities(...$authorities),
                1.0,
                ComfortDifficulty::fromDifficulties([]),
            );
            self::assertNull($model->slopes['authority']);
        }
    }

    public function test_the_order_of_observations_changes_nothing(): void
    {
        $rows = array_map(static fn(int $number): array => [(float) ($number % 83), [$number % 3 === 0 ? 5 : null]], range(1, 300));
        $fit = static function (array $rows): WinModel {
            $observations = new WinObservations([0]);
            foreach ($rows as [$difficulty, $positions]) {
                $observations->add($difficulty, $positions);
            }

            return WinModel::fit($observations, self::authorities(50.0), 1.0, ComfortDifficulty::fromDifficulties([]));
        };
        self::assertEquals($fit($rows), $fit(array_reverse($rows)));
    }

    public function test_the_difficulty_at_a_chance_is_where_the_chance_is_just_that(): void
    {
        $model = self::model(1.5, -.06, .02, 38.0);
        foreach ([.9, .5, .25, .1] as $chance) {
            $difficulty = $model->difficultyAt($chance);
            self::assertNotNull($difficulty);
            self::assertEqualsWithDelta($chance, $model->chanceAt($difficulty), 1e-12);
        }
        self::assertNull($model->difficultyAt(.999), 'No difficulty from 0 on is that easy.');
        self::assertNull($model->difficultyAt(.001), 'None up to 100 is that hard.');
        self::assertNull(self::model(0.0, 0.0, null, null)->difficultyAt(.5), 'A chance that does not depend on it passes nothing.');
    }

    public function test_the_easiest_and_the_hardest_difficulty_still_count(): void
    {
        foreach ([[0.0, 0.0], [12.5, 100.0]] as [$intercept, $expected]) {
            $difficulty = self::model($intercept, -.125, null, null)->difficultyAt(.5);
            self::assertNotNull($difficulty);
            self::assertSame($expected, abs($difficulty));
        }
    }

    public function test_fifty_rows_are_enough_to_learn_from_and_one_fewer_is_not(): void
    {
        foreach ([49 => true, 50 => false] as $rows => $isAssumed) {
            $observations = new WinObservations([0]);
            foreach (range(1, $rows) as $number) {
                $observations->add((float) $number, [$number % 3 === 0 ? 4 : 40]);
            }
            $model = WinModel::fit($observations, [[]], 1.0, ComfortDifficulty::fromDifficulties([]));
            self::assertSame([$rows, $isAssumed], [$model->rows, $model->isAssumed]);
        }
    }

    private static function model(float $intercept, float $difficulty, ?float $authority, ?float $own): WinModel
    {
        return WinModel::fromArray(
            [
                'intercept' => $intercept,
                'difficulty' => $difficulty,
                'authority' => $authority,
                'rows' => 500,
                'brier_score' => null,
                'calibration' => [],
                'assumed' => false,
            ],
            ['authority' => $own],
        );
    }

    public function test_a_head_start_lifts_the_chance(): void
    {
        $chance = new WinChance(WinModel::fit(new WinObservations([0]), [[]], 1.0, ComfortDifficulty::fromDifficulties([])));
        self::assertSame(1.0, $chance->of(10, null));
        self::assertNull($chance->of(11, null));
        self::assertEqualsWithDelta(
            [1.0, 1 - 0.5 * 0.65, 1 - 0.5 * 0.9, 0.5, 0.5],
            array_map(static fn(?int $position): ?float => $chance->of($position, 30.0), [1, 20, 50, 51, null]),
            1e-12,
        );
    }

    public function test_links_come_from_page_one_then_from_the_fit_then_from_an_assumption(): void
    {
        $assumed = LinksNeeded::fit([10.0], [5.0]);
        self::assertTrue($assumed->isAssumed);
        self::assertEqualsWithDelta(exp(.06 * 50) - 1, $assumed->needed(null, 50.0), 1e-12);
        self::assertSame(12.5, $assumed->needed(12.5, 50.0));
        self::assertNull($assumed->toEarn(null, null, 3));
        self::assertSame([10, 0], [$assumed->toEarn(12.5, null, 3), $assumed->toEarn(12.5, null, 99)]);
        $difficulties = array_map(floatval(...), range(1, 20));
        $fitted = LinksNeeded::fit(
            $difficulties,
            array_map(static fn(float $difficulty): float => exp(0.5 + 0.04 * $difficulty) - 1, $difficulties),
        );
        self::assertEqualsWithDelta([0.5, 0.04], [$fitted->intercept, $fitted->slope], 1e-9);
    }

    /** @param \Closure(int, float): bool $wins */
    private function observations(\Closure $wins): WinObservations
    {
        $observations = new WinObservations([0, 1]);
        foreach (range(0, 199) as $number) {
            $difficulty = (float) ($number % 97);
            $observations->add($difficulty, [$wins(0, $difficulty) ? 10 : 11, $wins(1, $difficulty) ? 1 : null]);
        }
        $observations->add(null, [1, 1]);

        return $observations;
    }

    /** @return list<array<string, ?float>> the figures of domains with these authorities */
    private static function authorities(?float ...$authorities): array
    {
        return array_map(static fn(?float $authority): array => ['authority' => $authority], array_values($authorities));
    }
}
