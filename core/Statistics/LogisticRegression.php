<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

use GreaterReach\Core\Exception\Misuse;

/**
 * Logistic regression on grouped data by iteratively reweighted least squares (Newton's method with step halving).
 *
 * Minimises Σ −log-likelihood + λ/2 · Σ β², the intercept not penalised. A group is one combination of features with
 * its number of trials and successes; a single observation is a group of one.
 */
final class LogisticRegression
{
    private const GRADIENT_TOLERANCE = 1e-8;
    private const SMALLEST_STEP = 1e-12;
    private const MAX_ITERATIONS = 200;

    /**
     * @param list<list<float>> $features  one row per group, without the constant
     * @param list<int>         $trials    per group
     * @param list<int>         $successes per group
     * @param float             $lambda    ≥ 0
     *
     * @return list<float> intercept, then one coefficient per feature
     *
     * @throws Misuse when there are no groups
     */
    public static function fit(array $features, array $trials, array $successes, float $lambda): array
    {
        if ($features === []) {
            throw Misuse::because('A logistic regression needs at least one group of observations.');
        }
        $rows = array_map(static fn(array $row): array => [1.0, ...$row], $features);
        $beta = array_fill(0, \count($rows[0]), 0.0);
        for ($iteration = 0; $iteration < self::MAX_ITERATIONS; ++$iteration) {
            [$gradient, $hessian] = self::derivatives($rows, $trials, $successes, $beta, $lambda);
            if (self::norm($gradient) < self::GRADIENT_TOLERANCE) {
                break;
            }
            $step = LinearSystem::solve($hessian, $gradient);
            $next = $step === null ? null : self::descend($rows, $trials, $successes, $beta, $step, $lambda);
            if ($next === null) {
                break;
            }
            $beta = $next;
        }

        return $beta;
    }

    public static function sigmoid(float $score): float
    {
        return $score >= 0 ? 1 / (1 + exp(-$score)) : exp($score) / (1 + exp($score));
    }

    /**
     * @param list<list<float>> $rows
     * @param list<int>         $trials
     * @param list<int>         $successes
     * @param list<float>       $beta
     *
     * @return array{array<int, float>, array<int, array<int, float>>} gradient and Hessian of the objective
     */
    private static function derivatives(array $rows, array $trials, array $successes, array $beta, float $lambda): array
    {
        $size = \count($beta);
        $gradient = array_fill(0, $size, 0.0);
        $hessian = array_fill(0, $size, $gradient);
        foreach ($rows as $group => $row) {
            $p = self::sigmoid(self::dot($row, $beta));
            $error = $trials[$group] * $p - $successes[$group];
            $weight = $trials[$group] * $p * (1 - $p);
            for ($i = 0; $i < $size; ++$i) {
                $gradient[$i] += $error * $row[$i];
                for ($j = 0; $j < $size; ++$j) {
                    $hessian[$i][$j] += $weight * $row[$i] * $row[$j];
                }
            }
        }
        for ($i = 1; $i < $size; ++$i) {
            $gradient[$i] += $lambda * $beta[$i];
            $hessian[$i][$i] += $lambda;
        }

        return [$gradient, $hessian];
    }

    /**
     * @param list<list<float>> $rows
     * @param list<int>         $trials
     * @param list<int>         $successes
     * @param list<float>       $beta
     * @param list<float>       $step
     *
     * @return ?list<float> null when no step along the direction lowers the objective any more
     */
    private static function descend(array $rows, array $trials, array $successes, array $beta, array $step, float $lambda): ?array
    {
        $now = self::objective($rows, $trials, $successes, $beta, $lambda);
        for ($length = 1.0; $length > self::SMALLEST_STEP; $length /= 2) {
            $next = [];
            foreach ($beta as $i => $value) {
                $next[] = $value - $length * $step[$i];
            }
            if ($next !== $beta && self::objective($rows, $trials, $successes, $next, $lambda) <= $now) {
                return $next;
            }
        }

        return null;
    }

    /**
     * @param list<list<float>> $rows
     * @param list<int>         $trials
     * @param list<int>         $successes
     * @param list<float>       $beta
     */
    private static function objective(array $rows, array $trials, array $successes, array $beta, float $lambda): float
    {
        $sum = 0.0;
        foreach ($rows as $group => $row) {
            $score = self::dot($row, $beta);
            $softPlus = max($score, 0.0) + log1p(exp(-abs($score)));
            $sum += $trials[$group] * $softPlus - $successes[$group] * $score;
        }
        foreach (\array_slice($beta, 1) as $coefficient) {
            $sum += $lambda / 2 * $coefficient ** 2;
        }

        return $sum;
    }

    /**
     * @param array<int, float> $a
     * @param array<int, float> $b
     */
    private static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $i => $value) {
            $sum += $value * $b[$i];
        }

        return $sum;
    }

    /** @param array<int, float> $vector */
    private static function norm(array $vector): float
    {
        return sqrt(self::dot($vector, $vector));
    }
}
