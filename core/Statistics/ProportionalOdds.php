<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

use GreaterReach\Core\Exception\InvalidArgument;

/**
 * Regression of ordered classes with proportional odds (McCullagh, Regression models for ordinal data, 1980), on grouped data:
 * P(class ≤ j) = 1 ÷ (1 + exp(−(α_j + β·x))), α rising. With two classes it is logistic regression.
 *
 * Minimises Σ −ln P(class of the row) + λ/2 · Σ β², the α not penalised, by Newton's method with step halving. As
 * −ln P(class j) = −ln σ(α_j + η) − ln σ(−α_{j−1} − η) − ln(1 − e^(α_{j−1} − α_j)), a threshold sees its groups as a logistic regression
 * between the classes on its two sides, and the last part depends on the number of rows of each class alone.
 *
 * @phpstan-type Start array{thresholds: list<float>, slopes: list<float>}
 * @phpstan-import-type Look from OddsCurvature
 */
final class ProportionalOdds
{
    private const GRADIENT_TOLERANCE = 1e-8;

    /** A step that promises less than this cannot be told from rounding. */
    private const SMALLEST_PROMISE = 1e-17;
    private const MOST_HALVINGS = 30;
    private const MOST_STEPS = 200;

    private readonly int $thresholds;

    private function __construct(private readonly OddsTable $table, private readonly float $lambda)
    {
        if (\count($table->totals) < 2 || min($table->totals) < 1) {
            throw InvalidArgument::because('Proportional odds need at least two classes, and a row of each.');
        }
        $this->thresholds = \count($table->totals) - 1;
    }

    /**
     * @param OddsTable $table  every class with at least one row
     * @param float     $lambda ≥ 0
     * @param ?Start    $start  where to begin; null begins at the shares of the classes
     *
     * @return Start α of every class but the last, and β
     *
     * @throws InvalidArgument when there are fewer than two classes, or one without rows
     */
    public static function fit(OddsTable $table, float $lambda, ?array $start = null): array
    {
        $fit = new self($table, $lambda);
        $parameters = $fit->descend($start === null ? $fit->beginning() : [...$start['thresholds'], ...$start['slopes']]);

        return [
            'thresholds' => \array_slice($parameters, 0, $fit->thresholds),
            'slopes' => \array_slice($parameters, $fit->thresholds),
        ];
    }

    public static function sigmoid(float $score): float
    {
        return $score >= 0 ? 1 / (1 + exp(-$score)) : exp($score) / (1 + exp($score));
    }

    /** @return list<float> */
    private function beginning(): array
    {
        $all = array_sum($this->table->totals);
        $below = 0;
        $thresholds = [];
        foreach (\array_slice($this->table->totals, 0, $this->thresholds) as $count) {
            $below += $count;
            $thresholds[] = log($below / ($all - $below));
        }

        return [...$thresholds, ...array_fill(0, $this->table->features, 0.0)];
    }

    /**
     * @param list<float> $parameters
     *
     * @return list<float>
     */
    private function descend(array $parameters): array
    {
        $here = $this->look($parameters);
        for ($step = 0; $here !== null && $step < self::MOST_STEPS && $here['norm'] >= self::GRADIENT_TOLERANCE; ++$step) {
            $direction = LinearSystem::solve($here['hessian'], $here['gradient']);
            $next = $direction === null ? null : $this->step($parameters, $direction, $here);
            if ($next === null) {
                break;
            }
            [$parameters, $here] = $next;
        }

        return $parameters;
    }

    /**
     * @param list<float> $parameters
     * @param list<float> $direction
     * @param Look        $here
     *
     * @return ?array{list<float>, Look} null where no step along the direction is taken any more
     */
    private function step(array $parameters, array $direction, array $here): ?array
    {
        $promise = array_sum(array_map(static fn(float $slope, float $by): float => $slope * $by, $here['gradient'], $direction)) / 2;
        $halvings = $promise < self::SMALLEST_PROMISE ? 1 : self::MOST_HALVINGS;
        for ($length = 1.0, $try = 0; $try < $halvings; ++$try, $length /= 2) {
            $next = array_map(static fn(float $value, float $by): float => $value - $length * $by, $parameters, $direction);
            $there = $next === $parameters ? null : $this->look($next);
            if ($there !== null && ($there['sum'] < $here['sum'] || $there['norm'] < $here['norm'])) {
                return [$next, $there];
            }
        }

        return null;
    }

    /**
     * @param list<float> $parameters α, then β
     *
     * @return ?Look what is minimised, with its derivatives; null where the α do not rise
     */
    private function look(array $parameters): ?array
    {
        $curvature = new OddsCurvature($parameters, $this->thresholds);
        if (! $curvature->keepApart($this->table->totals)) {
            return null;
        }
        $curvature->addAll($this->table);

        return $curvature->penalised($this->lambda);
    }
}
