<?php

declare(strict_types=1);

namespace Tests\Core\Statistics;

use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Statistics\IsotonicRegression;
use GreaterReach\Core\Statistics\LeastSquares;
use GreaterReach\Core\Statistics\LinearSystem;
use GreaterReach\Core\Statistics\LogisticRegression;
use GreaterReach\Core\Statistics\Quantile;
use PHPUnit\Framework\TestCase;

/** Source: R's isoreg(), quantile(), glm() and lm() on data sets that R ships; reference.R made reference.json. */
final class ReferenceTest extends TestCase
{
    public function test_isotonic_regression_agrees_with_isoreg(): void
    {
        $reference = self::reference('isotonic');
        self::assertEqualsWithDelta(
            $reference['fit'],
            IsotonicRegression::nonIncreasing($reference['values'], array_fill(0, \count($reference['values']), 1.0)),
            1e-12,
        );
    }

    public function test_a_whole_weight_counts_like_repeated_rows(): void
    {
        $values = [0.3, 0.4, 0.1, 0.25, 0.05];
        $weights = [2, 1, 3, 1, 2];
        $repeated = array_merge(
            ...array_map(static fn(float $value, int $times): array => array_fill(0, $times, $value), $values, $weights),
        );
        $fit = IsotonicRegression::nonIncreasing($repeated, array_fill(0, \count($repeated), 1.0));
        $firsts = [0, 2, 3, 6, 7];
        self::assertEqualsWithDelta(
            array_map(static fn(int $first): float => $fit[$first], $firsts),
            IsotonicRegression::nonIncreasing($values, array_map(floatval(...), $weights)),
            1e-12,
        );
    }

    public function test_quantiles_agree_with_type_7(): void
    {
        $reference = self::reference('quantiles');
        foreach ($reference['shares'] as $place => $share) {
            self::assertEqualsWithDelta($reference['fit'][$place], Quantile::of($reference['values'], $share), 1e-12);
        }
    }

    public function test_logistic_regression_agrees_with_glm_on_the_o_ring_data(): void
    {
        $reference = self::reference('oring');
        $fit = LogisticRegression::fit(
            array_map(static fn(float $x): array => [$x], $reference['x']),
            array_fill(0, \count($reference['x']), 1),
            array_map(intval(...), $reference['y']),
            0.0,
        );
        self::assertEqualsWithDelta($reference['fit'], $fit, 1e-6);
        // Dalal, Fowlkes and Hoadley 1989 (from memory).
        self::assertEqualsWithDelta([15.0429, -0.2322], $fit, 5e-5);
    }

    public function test_logistic_regression_agrees_with_glm_on_two_features(): void
    {
        $reference = self::reference('mtcars');
        $features = array_map(static fn(float $a, float $b): array => [$a, $b], $reference['x1'], $reference['x2']);
        self::assertEqualsWithDelta(
            $reference['fit'],
            LogisticRegression::fit($features, array_fill(0, \count($features), 1), array_map(intval(...), $reference['y']), 0.0),
            1e-5,
        );
    }

    public function test_groups_count_like_their_single_rows(): void
    {
        $single = LogisticRegression::fit([[1.0], [1.0], [1.0], [2.0], [2.0]], [1, 1, 1, 1, 1], [1, 0, 1, 0, 0], 1.0);
        self::assertEqualsWithDelta($single, LogisticRegression::fit([[1.0], [2.0]], [3, 2], [2, 0], 1.0), 1e-9);
    }

    public function test_the_penalty_leaves_the_intercept_free(): void
    {
        [$intercept, $slope] = LogisticRegression::fit([[-1.0], [1.0]], [100, 100], [90, 70], 1e9);
        self::assertEqualsWithDelta(0.0, $slope, 1e-6);
        self::assertEqualsWithDelta(log(.8 / .2), $intercept, 1e-6);
    }

    public function test_the_gradient_vanishes_at_the_penalised_optimum(): void
    {
        [$intercept, $slope] = LogisticRegression::fit([[0.0], [1.0], [3.0]], [10, 10, 10], [2, 5, 9], 1.0);
        $error = 0.0;
        foreach ([[0.0, 2], [1.0, 5], [3.0, 9]] as [$x, $wins]) {
            $error += (10 * LogisticRegression::sigmoid($intercept + $slope * $x) - $wins) * $x;
        }
        self::assertEqualsWithDelta(0.0, $error + $slope, 1e-8);
    }

    public function test_separated_classes_stay_finite_with_a_penalty(): void
    {
        [$intercept, $slope] = LogisticRegression::fit([[1.0], [2.0]], [50, 50], [0, 50], 1.0);
        self::assertTrue(is_finite($intercept) && is_finite($slope) && $slope > 0);
    }

    public function test_least_squares_agree_with_lm(): void
    {
        $reference = self::reference('line');
        $line = LeastSquares::line($reference['x'], $reference['y']);
        self::assertNotNull($line);
        self::assertEqualsWithDelta($reference['fit'], [$line->intercept, $line->slope], 1e-10);
    }

    public function test_a_line_needs_two_different_points(): void
    {
        self::assertNull(LeastSquares::line([3.0, 3.0], [1.0, 2.0]));
        self::assertNull(LeastSquares::line([3.0], [1.0]));
    }

    public function test_a_singular_system_has_no_solution(): void
    {
        self::assertNull(LinearSystem::solve([[1.0, 2.0], [2.0, 4.0]], [1.0, 2.0]));
        self::assertEqualsWithDelta([2.0, 3.0], LinearSystem::solve([[0.0, 1.0], [1.0, 1.0]], [3.0, 5.0]), 1e-12);
    }

    public function test_a_quantile_of_nothing_is_a_misuse(): void
    {
        $this->expectException(Misuse::class);
        Quantile::median([]);
    }

    /** @return array<string, list<float>> */
    private static function reference(string $name): array
    {
        /** @var array<string, array<string, string|list<float|int>>> $all */
        $all = json_decode((string) file_get_contents(__DIR__.'/reference.json'), true, 16, JSON_THROW_ON_ERROR);

        return array_map(static fn(mixed $column): array => \is_array($column) ? array_map(floatval(...), $column) : [], $all[$name]);
    }
}
