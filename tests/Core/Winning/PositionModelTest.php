<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Meaning\StemSets;
use GreaterReach\Core\Meaning\Topics;
use GreaterReach\Core\Statistics\LinearSystem;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\GroundIndex;
use GreaterReach\Core\Winning\PlaceChances;
use GreaterReach\Core\Winning\PlaceClass;
use GreaterReach\Core\Winning\PositionFeature;
use GreaterReach\Core\Winning\PositionFit;
use GreaterReach\Core\Winning\PositionGroups;
use GreaterReach\Core\Winning\PositionModel;
use GreaterReach\Core\Winning\PositionObservations;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PositionModelTest extends TestCase
{
    private const TRUE_ALPHAS = [-1.0, -.1, .5, 1.4, 2.2, 3.1, 3.6];
    private const TRUE_BETAS = ['difficulty' => -.05, 'authority' => .03, 'ground' => .7, 'volume' => -.3];

    /** The check value of CRC-32 (IEEE 802.3) is 0xCBF43926 for the digits 1 to 9; that of nothing is 0. */
    public function test_folds_go_by_crc_32(): void
    {
        self::assertSame(0xCBF43926 % 5, PositionObservations::foldOf('123456789'));
        self::assertSame(0, PositionObservations::foldOf(''));
    }

    public function test_with_too_little_to_learn_a_line_stands_around_the_comfort(): void
    {
        $comfort = ComfortDifficulty::fromDifficulties([]);
        $fit = PositionFit::of(self::drawn(199, 1), null, 1.0, $comfort);
        self::assertTrue($fit->isAssumed);
        self::assertSame(199, $fit->rows);
        self::assertEqualsWithDelta(.5, self::at($fit, 30.0, null, 25)->upTo(10), 1e-12);
        self::assertEqualsWithDelta(1 / (1 + exp(2.9 + 1)), self::at($fit, 38.0, null, 25)->upTo(1), 1e-12);
        self::assertFalse(PositionFit::of(self::drawn(200, 1), null, 1.0, $comfort)->isAssumed);
    }

    public function test_one_class_alone_teaches_nothing(): void
    {
        $groups = new PositionGroups([10.0, 60.0], [0.0], false);
        for ($row = 0; $row < 300; ++$row) {
            $groups->add($row % 2, 0, 25, 0, PlaceClass::ABSENT, $row % 5);
        }
        self::assertTrue(PositionFit::of($groups, null, 1.0, ComfortDifficulty::fromDifficulties([]))->isAssumed);
    }

    public function test_a_step_of_a_feature_multiplies_the_odds_by_the_power_of_its_slope(): void
    {
        $fit = PositionFit::of(self::drawn(2000, 4), null, 1.0, ComfortDifficulty::fromDifficulties([]));
        $steps = [
            [20.0, 30.0, 40.0, 40.0, 25, 25], [20.0, 20.0, 40.0, 50.0, 25, 25], [20.0, 20.0, 40.0, 40.0, 20, 50],
        ];
        foreach ($steps as $number => [$easy, $hard, $weak, $strong, $little, $much]) {
            $odds = static fn(float $chance): float => $chance / (1 - $chance);
            $before = $odds(self::at($fit, $easy, $weak, $little)->upTo(10));
            $after = $odds(self::at($fit, $hard, $strong, $much)->upTo(10));
            self::assertEqualsWithDelta($after / $before, $fit->oddsOfStep(PositionFeature::cases()[$number]), 1e-9);
        }
        $assumed = PositionFit::of(new PositionGroups([], [], true), null, 1.0, ComfortDifficulty::fromDifficulties([]));
        self::assertNull($assumed->oddsOfStep(PositionFeature::Ground));
    }

    public function test_the_score_has_a_part_of_every_feature(): void
    {
        $slopes = array_fill_keys(array_column(PositionFeature::cases(), 'value'), null);
        $kept = ['alphas' => array_fill(0, PlaceClass::COUNT - 1, 0.0), 'rows' => 1, 'assumed' => false, 'odd' => [], 'ranges' => []];
        foreach (PositionFeature::cases() as $feature) {
            $fit = PositionFit::fromArray([...$kept, 'betas' => [...$slopes, $feature->value => 0.5]]);
            foreach ([[0.0, 0.0, 1, 0], [37.0, 61.0, 25, 9], [100.0, 12.5, 99, 3], [80.0, null, 1, 16]] as $known) {
                self::assertEqualsWithDelta(0.5 * $feature->of(...$known), $fit->score(...$known), 1e-12, $feature->value);
            }
        }
    }

    public function test_however_many_rows_are_alike_they_are_counted(): void
    {
        $groups = new PositionGroups([10.0, 60.0], [0.0], false);
        $counts = [1, 254, 255, 256, 65_535, 65_536, 70_001, 0];
        foreach ($counts as $class => $count) {
            for ($row = 0; $row < $count; ++$row) {
                $groups->add($class % 2, 0, 25, 7, $class, 3);
            }
        }
        $odd = static fn(int $rows, int $class): int => $class % 2 === 1 ? $rows : 0;
        $even = static fn(int $rows, int $class): int => $class % 2 === 0 ? $rows : 0;
        [$high, $low] = [array_map($odd, $counts, array_keys($counts)), array_map($even, $counts, array_keys($counts))];
        self::assertSame(
            [[10.0, 0.0, 25, 7, $low, array_sum($low)], [60.0, 0.0, 25, 7, $high, array_sum($high)]],
            iterator_to_array($groups->each(), false),
        );
        self::assertSame([], iterator_to_array($groups->each(3), false));
        self::assertSame([[3 => array_filter($low)], [3 => array_filter($high)]], array_column(iterator_to_array($groups->eachFold()), 4));
    }

    /**
     * Rankings drawn from the model itself: every coefficient is met within four of its standard errors, taken from the curvature of the
     * plain
     * likelihood at the fit; nine in ten bins of the calibration lie within three of theirs.
     */
    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    public function test_a_simulated_truth_is_recovered(int $seed): void
    {
        $groups = self::drawn(6000, $seed);
        $model = PositionModel::learn($groups, .001, ComfortDifficulty::fromDifficulties([]), 40.0);
        $found = array_map(floatval(...), [...$model->fit->alphas, ...array_values($model->fit->betas)]);
        $errors = self::standardErrors($groups, $found);
        foreach ([...self::TRUE_ALPHAS, ...array_values(self::TRUE_BETAS)] as $number => $true) {
            self::assertLessThan(4 * $errors[$number], abs($found[$number] - $true), "coefficient {$number}");
        }
        $within = $all = 0;
        foreach ($model->judged($groups, .001, ComfortDifficulty::fromDifficulties([]))->calibration as $calibration) {
            self::assertLessThan($calibration->base, $calibration->brier);
            foreach ($calibration->bins as $bin) {
                if ($bin['rows'] > 0) {
                    ++$all;
                    $error = sqrt($bin['predicted'] * (1 - $bin['predicted']) / $bin['rows']);
                    $within += abs($bin['predicted'] - $bin['observed']) <= 3 * $error ? 1 : 0;
                }
            }
        }
        self::assertGreaterThanOrEqual(.9, $within / $all);
    }

    public function test_a_slope_against_its_meaning_is_left_out_and_named(): void
    {
        // Harder keywords are held better here, and who holds more stands worse.
        $groups = self::drawn(3000, 4, ['difficulty' => .05, 'authority' => .03, 'ground' => -.7, 'volume' => -.3]);
        $fit = PositionFit::of($groups, null, 1.0, ComfortDifficulty::fromDifficulties([]));
        self::assertSame([PositionFeature::Difficulty, PositionFeature::Ground], $fit->odd);
        self::assertNull($fit->betas['difficulty']);
        self::assertNull($fit->betas['ground']);
        self::assertGreaterThan(0, $fit->betas['authority']);
    }

    public function test_what_is_alike_or_unknown_is_left_out(): void
    {
        $groups = new PositionGroups([40.0], [0.0], false);
        mt_srand(3);
        for ($row = 0; $row < 400; ++$row) {
            $groups->add(0, 0, 25, 3, mt_rand(0, 7), $row % 5);
        }
        $fit = PositionFit::of($groups, null, 1.0, ComfortDifficulty::fromDifficulties([]));
        self::assertSame(['difficulty' => null, 'authority' => null, 'ground' => null, 'volume' => null], $fit->betas);
        self::assertSame([], $fit->odd);
        $byClass = $groups->rowsByClass();
        self::assertEqualsWithDelta($byClass[0] / 400, self::at($fit, 90.0, null, 50)->upTo(1), 1e-9, 'It tells the shares there are.');
    }

    public function test_empty_classes_share_a_bound_or_cannot_be(): void
    {
        $groups = new PositionGroups([20.0, 50.0], [0.0], false);
        for ($row = 0; $row < 400; ++$row) {
            // Nobody at 1, nobody at 6–10, nobody absent or beyond 50.
            $groups->add($row % 2, 0, 25, 0, [1, 2, 4, 5][$row % 3 + ($row % 2)], $row % 5);
        }
        $fit = PositionFit::of($groups, null, 1.0, ComfortDifficulty::fromDifficulties([]));
        self::assertSame([-INF, INF, INF], [$fit->alphas[0], $fit->alphas[5], $fit->alphas[6]]);
        self::assertSame($fit->alphas[2], $fit->alphas[3]);
        $places = self::at($fit, 30.0, null, 25);
        self::assertSame([0.0, 1.0, 0.0], [$places->upTo(1), $places->upTo(50), $places->byClass()[PlaceClass::ABSENT]]);
        self::assertStringContainsString('"-inf"', (string) json_encode($fit->toArray()));
        self::assertEquals($fit, PositionFit::fromArray($fit->toArray()));
    }

    public function test_the_order_of_domains_and_keywords_changes_nothing(): void
    {
        $rows = [];
        mt_srand(8);
        for ($number = 0; $number < 150; ++$number) {
            $rows[] = [
                'key '.$number, mt_rand(0, 100) / 1.0, mt_rand(0, 900), [mt_rand(1, 130), mt_rand(1, 130), mt_rand(1, 130)], mt_rand(0, 7),
            ];
        }
        $model = self::fitted($rows, [0, 1, 2]);
        self::assertFalse($model->fit->isAssumed);
        self::assertEquals($model, self::fitted(array_reverse($rows), [0, 1, 2]));
        self::assertEquals($model, self::fitted($rows, [1, 2, 0]));
    }

    /**
     * @param list<array{string, float, int, list<int>, int}> $rows  keyword, difficulty, volume, positions, domains that have a page
     * @param list<int>                                       $order of the domains
     */
    private static function fitted(array $rows, array $order): PositionModel
    {
        $authorities = [20.0, 45.0, 70.0];
        $observations = new PositionObservations(
            array_map(static fn(int $domain): float => $authorities[$domain], $order),
            [0, 1, 2],
        );
        $book = new GroundIndex(3);
        $holders = [];
        foreach ($rows as $number => [$keyword, $difficulty, $volume, $all, $pages]) {
            $positions = array_map(static fn(int $domain): ?int => $all[$domain] > 100 ? null : $all[$domain], $order);
            $book->add($positions);
            $observations->add($keyword, $difficulty, $volume, $positions, false);
            $holders[$number] = 0;
            foreach ($order as $place => $domain) {
                $holders[$number] |= ($pages >> $domain & 1) << $place;
            }
        }
        // Each keyword is a topic of its own, and none is related to another.
        $topics = new Topics(
            array_column($rows, 0),
            array_keys($rows),
            array_keys($rows),
            StemSets::of(array_column($rows, 0), new class implements Stemmer {
                public function stems(array $words): array
                {
                    return array_combine($words, $words);
                }
            }),
        );
        $book->settle($topics, array_keys($rows));
        $groups = $observations->groups($book, array_keys($rows), $holders);
        $comfort = ComfortDifficulty::fromDifficulties([]);

        return PositionModel::learn($groups, 1.0, $comfort, 45.0)->judged($groups, 1.0, $comfort);
    }

    public function test_only_pages_that_exist_with_a_difficulty_and_without_a_brand_count(): void
    {
        $observations = new PositionObservations([30.0, null], [0, 1]);
        $book = new GroundIndex(2);
        $cases = [['a', 40.0, false], ['b', null, false], ['c', 40.0, true], ['d', 50.0, false]];
        foreach ($cases as [$keyword, $difficulty, $isBranded]) {
            $book->add([1, null]);
            $observations->add($keyword, $difficulty, 90, [1, null], $isBranded);
        }
        $book->settle(
            new Topics(['a', 'b', 'c', 'd'], [0, 1, 2, 3], [0, 1, 2, 3], StemSets::of(['', '', '', ''], new class implements Stemmer {
                public function stems(array $words): array
                {
                    return [];
                }
            })),
            [0, 1, 2, 3],
        );
        // Both domains have a page for the first topic, the second one alone for the last.
        $groups = $observations->groups($book, [0, 1, 2, 3], [0 => 3, 1 => 3, 2 => 3, 3 => 2]);
        self::assertSame([1, 0, 0, 0, 0, 0, 0, 2], $groups->rowsByClass());
        self::assertFalse($groups->hasAuthority);
        // ln(91) is 4.51, in halves 9.
        self::assertSame([9, 9], array_column(iterator_to_array($groups->each(), false), 3));
    }

    public function test_without_rows_there_is_no_score(): void
    {
        $groups = new PositionGroups([], [], true);
        $comfort = ComfortDifficulty::fromDifficulties([]);
        foreach (PositionModel::learn($groups, 1.0, $comfort, null)->judged($groups, 1.0, $comfort)->calibration as $one) {
            self::assertSame([null, null], [$one->brier, $one->base]);
            self::assertSame(0, array_sum(array_column($one->bins, 'rows')));
        }
    }

    /** @param array<string, float> $betas */
    private static function drawn(int $rows, int $seed, array $betas = self::TRUE_BETAS): PositionGroups
    {
        mt_srand($seed);
        $difficulties = array_map(floatval(...), range(0, 100, 4));
        $authorities = [20.0, 30.0, 40.0, 50.0, 60.0, 70.0, 80.0];
        $groups = new PositionGroups($difficulties, $authorities, true);
        for ($row = 0; $row < $rows; ++$row) {
            [$difficulty, $authority, $ground, $halves] = [mt_rand(0, 25), mt_rand(0, 6), mt_rand(2, 90), mt_rand(0, 16)];
            $eta = $betas['volume'] * $halves / 2
                + $betas['difficulty'] * $difficulties[$difficulty] + $betas['authority'] * $authorities[$authority]
                + $betas['ground'] * Ground::logOdds($ground);
            $drawn = mt_rand(1, 999_999) / 1_000_000;
            $class = 0;
            while ($class < PlaceClass::ABSENT && $drawn > 1 / (1 + exp(-(self::TRUE_ALPHAS[$class] + $eta)))) {
                ++$class;
            }
            $groups->add($difficulty, $authority, $ground, $halves, $class, mt_rand(0, 4));
        }

        return $groups;
    }

    /**
     * From the curvature of the plain likelihood, Σ −ln(F(class) − F(class before)), by differences.
     *
     * @param list<float> $at α, then β
     *
     * @return list<float>
     */
    private static function standardErrors(PositionGroups $groups, array $at): array
    {
        $all = iterator_to_array($groups->each(), false);
        $loss = static function (array $p) use ($all): float {
            $sum = 0.0;
            foreach ($all as [$difficulty, $authority, $ground, $halves, $counts]) {
                $eta = $p[7] * $difficulty + $p[8] * $authority + $p[9] * Ground::logOdds($ground) + $p[10] * $halves / 2;
                $before = 0.0;
                foreach ($counts as $class => $count) {
                    $upTo = $class === PlaceClass::ABSENT ? 1.0 : 1 / (1 + exp(-($p[$class] + $eta)));
                    $sum -= $count === 0 ? 0.0 : $count * log($upTo - $before);
                    $before = $upTo;
                }
            }

            return $sum;
        };
        $steps = [...array_fill(0, 7, 1e-3), 1e-5, 1e-5, 1e-3, 1e-3];
        $moved = static function (array $p, int $number, float $sign) use ($steps): array {
            $p[$number] += $sign * $steps[$number];

            return $p;
        };
        $hessian = [];
        for ($i = 0; $i < 11; ++$i) {
            for ($j = 0; $j < 11; ++$j) {
                $hessian[$i][$j] = (
                    $loss($moved($moved($at, $i, 1), $j, 1)) - $loss($moved($moved($at, $i, 1), $j, -1))
                    - $loss($moved($moved($at, $i, -1), $j, 1)) + $loss($moved($moved($at, $i, -1), $j, -1))
                ) / (4 * $steps[$i] * $steps[$j]);
            }
        }

        return array_map(static function (int $number) use ($hessian): float {
            $unit = array_fill(0, 11, 0.0);
            $unit[$number] = 1.0;

            return sqrt((LinearSystem::solve($hessian, $unit) ?? [])[$number] ?? 0.0);
        }, range(0, 10));
    }

    private static function at(PositionFit $fit, float $difficulty, ?float $authority, int $hundredths): PlaceChances
    {
        return $fit->chances($fit->score($difficulty, $authority, $hundredths, 0));
    }
}
