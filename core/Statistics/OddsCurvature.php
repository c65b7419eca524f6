<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

/**
 * The penalised likelihood of proportional odds at one place, added up group by group, with its first and second derivatives.
 *
 * @internal
 *
 * @phpstan-type Look array{sum: float, norm: float, gradient: list<float>, hessian: list<list<float>>}
 */
final class OddsCurvature
{
    private float $sum = 0.0;

    /** @var array<int, float> */
    private array $gradient;

    /** @var array<int, array<int, float>> its upper half */
    private array $hessian;

    /** @param list<float> $parameters α, then β */
    public function __construct(private readonly array $parameters, private readonly int $thresholds)
    {
        $this->gradient = array_fill(0, \count($parameters), 0.0);
        $this->hessian = array_fill(0, \count($parameters), $this->gradient);
    }

    /**
     * The part that keeps the thresholds apart.
     *
     * @param array<int, int> $totals rows by class
     *
     * @return bool false where the thresholds do not rise, so that there is no likelihood
     */
    public function keepApart(array $totals): bool
    {
        for ($class = 1; $class < $this->thresholds; ++$class) {
            $apart = $this->parameters[$class] - $this->parameters[$class - 1];
            // Asked apart, as PHP 8.2's just-in-time compiler takes !($apart > 0) for false where it is not a number.
            if (is_nan($apart) || $apart <= 0.0) {
                return false;
            }
            $gap = -expm1(-$apart);
            $slope = $totals[$class] * exp(-$apart) / $gap;
            $bend = $slope / $gap;
            $this->sum -= $totals[$class] * log($gap);
            $this->gradient[$class] -= $slope;
            $this->gradient[$class - 1] += $slope;
            $this->hessian[$class][$class] += $bend;
            $this->hessian[$class - 1][$class - 1] += $bend;
            $this->hessian[$class - 1][$class] -= $bend;
        }

        return true;
    }

    /**
     * Each threshold sees a group as a logistic regression between the classes on its two sides. Everything is held in variables
     * of its own here, since nothing else of a comparison is gone through as often.
     */
    public function addAll(OddsTable $table): void
    {
        [$entries, $values, $features] = [$table->entries, $table->values, $table->features];
        [$alphas, $slopes] = [\array_slice($this->parameters, 0, $this->thresholds), \array_slice($this->parameters, $this->thresholds)];
        $sum = 0.0;
        $errors = $spreads = array_fill(0, $this->thresholds, 0.0);
        $crosses = array_fill(0, $this->thresholds * $features, 0.0);
        $place = $from = 0;
        foreach ($table->ends as $end) {
            $eta = $pull = $weight = 0.0;
            for ($feature = 0; $feature < $features; ++$feature) {
                $eta += $slopes[$feature] * $values[$from + $feature];
            }
            for (; $place < $end; ++$place) {
                $entry = $entries[$place];
                $at = $entry & OddsTable::AT_MASK;
                $below = $entry >> OddsTable::BELOW_SHIFT & OddsTable::COUNT_MASK;
                $rows = $entry >> OddsTable::ROWS_SHIFT;
                $score = $alphas[$at] + $eta;
                $tail = exp(-abs($score));
                $share = $score >= 0 ? 1 / (1 + $tail) : $tail / (1 + $tail);
                $sum += $rows * (($score > 0 ? $score : 0.0) + log1p($tail)) - $below * $score;
                $error = $rows * $share - $below;
                $spread = $rows * $share * (1 - $share);
                $errors[$at] += $error;
                $spreads[$at] += $spread;
                $pull += $error;
                $weight += $spread;
                for ($feature = 0, $cross = $at * $features; $feature < $features; ++$feature) {
                    $crosses[$cross + $feature] += $spread * $values[$from + $feature];
                }
            }
            $this->addSlopes(\array_slice($values, $from, $features), $pull, $weight);
            $from += $features;
        }
        $this->addThresholds($sum, $errors, $spreads, $crosses);
    }

    /** @return Look with a penalty on the slopes alone */
    public function penalised(float $lambda): array
    {
        $size = \count($this->parameters);
        for ($place = $this->thresholds; $place < $size; ++$place) {
            $this->sum += $lambda / 2 * $this->parameters[$place] ** 2;
            $this->gradient[$place] += $lambda * $this->parameters[$place];
            $this->hessian[$place][$place] += $lambda;
        }
        for ($row = 1; $row < $size; ++$row) {
            for ($column = 0; $column < $row; ++$column) {
                $this->hessian[$row][$column] = $this->hessian[$column][$row];
            }
        }
        $norm = sqrt(array_sum(array_map(static fn(float $slope): float => $slope ** 2, $this->gradient)));

        return [
            'sum' => $this->sum,
            'norm' => $norm,
            'gradient' => array_values($this->gradient),
            'hessian' => array_values(array_map(array_values(...), $this->hessian)),
        ];
    }

    /**
     * @param array<int, float> $errors  of every threshold
     * @param array<int, float> $spreads of every threshold
     * @param array<int, float> $crosses of every threshold with every feature
     */
    private function addThresholds(float $sum, array $errors, array $spreads, array $crosses): void
    {
        $this->sum += $sum;
        $features = \count($this->parameters) - $this->thresholds;
        foreach ($errors as $at => $error) {
            $this->gradient[$at] += $error;
            $this->hessian[$at][$at] += $spreads[$at];
            for ($feature = 0; $feature < $features; ++$feature) {
                $this->hessian[$at][$this->thresholds + $feature] += $crosses[$at * $features + $feature];
            }
        }
    }

    /** @param list<float> $x */
    private function addSlopes(array $x, float $pull, float $weight): void
    {
        foreach ($x as $place => $value) {
            $this->gradient[$this->thresholds + $place] += $pull * $value;
            foreach ($x as $other => $beside) {
                $this->hessian[$this->thresholds + $place][$this->thresholds + $other] += $weight * $value * $beside;
            }
        }
    }
}
