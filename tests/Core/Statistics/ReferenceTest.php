<?php

declare(strict_types=1);

namespace Tests\Core\Statistics;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Statistics\IsotonicRegression;
use GreaterReach\Core\Statistics\LeastSquares;
use GreaterReach\Core\Statistics\LinearSystem;
use GreaterReach\Core\Statistics\OddsTable;
use GreaterReach\Core\Statistics\ProportionalOdds;
use GreaterReach\Core\Statistics\Quantile;
use GreaterReach\Core\Statistics\Scale;
use GreaterReach\Core\Winning\Effect;
use GreaterReach\Core\Winning\FinishedItem;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlaceChances;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Source: R's isoreg(), quantile(), glm(), lm(), optim(), integrate() and, of package MASS, polr() on data sets that R ships;
 * reference.R made reference.json.
 */
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

    /** With two classes it is logistic regression: glm() on the O-ring data. */
    public function test_two_classes_agree_with_glm_on_the_o_ring_data(): void
    {
        $reference = self::reference('oring');
        $fit = ProportionalOdds::fit(self::table(self::single($reference['y'], $reference['x'])), 0.0);
        self::assertEqualsWithDelta($reference['fit'], [$fit['thresholds'][0], $fit['slopes'][0]], 1e-6);
        // Dalal, Fowlkes and Hoadley 1989 (from memory).
        self::assertEqualsWithDelta([15.0429, -0.2322], [$fit['thresholds'][0], $fit['slopes'][0]], 5e-5);
    }

    public function test_two_classes_agree_with_glm_on_two_features(): void
    {
        $reference = self::reference('mtcars');
        $fit = ProportionalOdds::fit(self::table(self::single($reference['y'], $reference['x1'], $reference['x2'])), 0.0);
        self::assertEqualsWithDelta($reference['fit'], [...$fit['thresholds'], ...$fit['slopes']], 1e-5);
    }

    /** polr() of package MASS without a penalty, and optim() on the same likelihood with λ = 1: the housing data, and random groups. */
    #[TestWith(['housing', 3])]
    #[TestWith(['grouped', 4])]
    public function test_proportional_odds_agree_with_polr_and_optim(string $name, int $classes): void
    {
        $reference = self::tables($name);
        $rows = array_map(
            static fn(array $x, array $counts): array => [$x, array_map(intval(...), $counts)],
            $reference['x'],
            $reference['counts'],
        );
        foreach (['fit' => 0.0, 'penalised' => 1.0] as $values => $lambda) {
            $fit = ProportionalOdds::fit(self::table($rows), $lambda);
            self::assertCount($classes - 1, $fit['thresholds']);
            self::assertEqualsWithDelta($reference[$values][0], [...$fit['thresholds'], ...$fit['slopes']], 2e-6, $values);
        }
    }

    /** Venables and Ripley, Modern Applied Statistics with S, 4th ed., 7.3, print the thresholds −0.4961 and 0.6907. */
    public function test_the_housing_data_have_the_published_thresholds(): void
    {
        self::assertEqualsWithDelta([-0.4961, 0.6907], \array_slice(self::tables('housing')['fit'][0], 0, 2), 5e-5);
    }

    public function test_groups_count_like_their_single_rows(): void
    {
        $single = ProportionalOdds::fit(
            self::table([[[1.0], [0, 1]], [[1.0], [1, 0]], [[1.0], [0, 1]], [[2.0], [1, 0]], [[2.0], [1, 0]]]),
            1.0,
        );
        self::assertEqualsWithDelta($single, ProportionalOdds::fit(self::table([[[1.0], [1, 2]], [[2.0], [2, 0]]]), 1.0), 1e-9);
    }

    public function test_the_penalty_leaves_the_thresholds_free(): void
    {
        $fit = ProportionalOdds::fit(self::table([[[-1.0], [90, 6, 4]], [[1.0], [70, 14, 16]]]), 1e9);
        self::assertEqualsWithDelta(0.0, $fit['slopes'][0], 1e-6);
        self::assertEqualsWithDelta([log(.8 / .2), log(.9 / .1)], $fit['thresholds'], 1e-6);
    }

    public function test_separated_classes_stay_finite_with_a_penalty(): void
    {
        $fit = ProportionalOdds::fit(self::table([[[1.0], [0, 50]], [[2.0], [50, 0]]]), 1.0);
        self::assertTrue(is_finite($fit['thresholds'][0]) && is_finite($fit['slopes'][0]) && $fit['slopes'][0] > 0);
    }

    public function test_wherever_it_begins_it_comes_to_the_same(): void
    {
        $table = self::table([[[0.0], [5, 9, 2]], [[1.0], [8, 3, 4]], [[3.0], [9, 2, 1]]]);
        $fit = ProportionalOdds::fit($table, 1.0);
        self::assertEqualsWithDelta($fit, ProportionalOdds::fit($table, 1.0, ['thresholds' => [-3.0, 4.0], 'slopes' => [2.0]]), 1e-7);
    }

    public function test_one_class_or_an_empty_one_is_a_misuse(): void
    {
        foreach ([[[[1.0], [3]]], [[[1.0], [3, 0]]]] as $rows) {
            try {
                ProportionalOdds::fit(self::table($rows), 1.0);
                self::fail('It was fitted.');
            } catch (InvalidArgument $misuse) {
                self::assertStringContainsString('two classes', $misuse->getMessage());
            }
        }
    }

    public function test_a_scale_has_mean_and_population_deviation_of_single_rows(): void
    {
        $scale = new Scale();
        foreach ([[2.0, 3], [5.0, 1], [8.0, 2]] as [$value, $rows]) {
            $scale->add($value, $rows);
        }
        self::assertEqualsWithDelta([4.5, sqrt(43.5 / 6), 2.0, 8.0], [$scale->mean(), $scale->deviation(), ...$scale->range()], 1e-12);
        self::assertTrue($scale->varies());
        $alike = new Scale();
        $alike->add(7.0, 2);
        $alike->add(7.0, 1);
        self::assertFalse($alike->varies());
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
        $this->expectException(InvalidArgument::class);
        Quantile::median([]);
    }

    /** polr() of package MASS with an offset on the housing data: its classes are those of thresholds that are all shifted by it. */
    public function test_a_shift_of_the_thresholds_agrees_with_polr_and_an_offset(): void
    {
        $reference = self::reference('shifted');
        $tables = self::tables('housing');
        $rows = array_map(
            static fn(array $x, array $counts): array => [$x, array_map(intval(...), $counts)],
            $tables['x'],
            $tables['counts'],
        );
        $fit = ProportionalOdds::fit(self::table($rows), 0.0);
        $shifted = array_map(static fn(float $threshold): float => $threshold + .7, $fit['thresholds']);
        self::assertEqualsWithDelta($reference['fit'], $shifted, 1e-4);
    }

    /** integrate() over the shift, for three finished items of each kind: the grid comes to the same mean and standard deviation. */
    public function test_the_posterior_of_an_effect_agrees_with_integrate(): void
    {
        $reference = self::reference('effects');
        $chances = new PlaceChances($reference['upTo']);
        $item = static fn(PageKind $kind, ?int $then, ?int $now): FinishedItem => new FinishedItem($kind, $chances, $then, 3, .35, $now);
        $new = Effect::prior(.2, .7)->learning([
            $item(PageKind::New, null, 8), $item(PageKind::New, null, null), $item(PageKind::New, 50, 20),
        ]);
        self::assertEqualsWithDelta($reference['new'], [$new->mean(), $new->posterior->deviation()], 1e-4);
        $existing = Effect::prior(0.0, .7)->learning([
            $item(PageKind::Existing, 10, 3), $item(PageKind::Existing, 20, 4), $item(PageKind::Existing, null, null),
        ]);
        self::assertEqualsWithDelta($reference['existing'], [$existing->mean(), $existing->posterior->deviation()], 1e-4);
    }

    /** @param list<array{list<float>, list<int>}> $rows */
    private static function table(array $rows): OddsTable
    {
        $table = new OddsTable(\count($rows[0][0]), \count($rows[0][1]));
        foreach ($rows as [$x, $counts]) {
            $table->add($x, $counts);
        }

        return $table;
    }

    /**
     * @param list<float> $y           1 for what is counted as the first class
     * @param list<float> ...$features
     *
     * @return list<array{list<float>, list<int>}>
     */
    private static function single(array $y, array ...$features): array
    {
        return array_map(
            static fn(float $one, float ...$x): array => [array_values($x), $one > 0 ? [1, 0] : [0, 1]],
            $y,
            ...array_values($features),
        );
    }

    /** @return array{x: list<list<float>>, counts: list<list<float>>, fit: list<list<float>>, penalised: list<list<float>>} */
    private static function tables(string $name): array
    {
        /** @var array<string, array{x: list<list<float|int>>, counts: list<list<int>>, fit: list<float>, penalised: list<float>}> $all */
        $all = json_decode((string) file_get_contents(__DIR__.'/reference.json'), true, 16, JSON_THROW_ON_ERROR);
        $floats = static fn(array $rows): array => array_values(
            array_map(static fn(array $row): array => array_values(array_map(floatval(...), $row)), $rows),
        );
        $one = $all[$name];

        return [
            'x' => $floats($one['x']),
            'counts' => $floats($one['counts']),
            'fit' => $floats([$one['fit']]),
            'penalised' => $floats([$one['penalised']]),
        ];
    }

    /** @return array<string, list<float>> */
    private static function reference(string $name): array
    {
        /** @var array<string, array<string, string|list<float|int>>> $all */
        $all = json_decode((string) file_get_contents(__DIR__.'/reference.json'), true, 16, JSON_THROW_ON_ERROR);

        return array_map(static fn(mixed $column): array => \is_array($column) ? array_map(floatval(...), $column) : [], $all[$name]);
    }
}
