<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

use GreaterReach\Core\Exception\InvalidArgument;

/** What is known of a shift of the logarithm of the odds, on the grid −4, −3.95 … 4: a normal prior, and what was observed since. */
final readonly class ShiftPosterior
{
    private const LAST = 160;
    private const STEPS_PER_UNIT = 20;
    private const LOWEST = -4.0;

    /** @param list<float> $weights of the places of the grid; they sum to 1 */
    private function __construct(private array $weights)
    {
    }

    public static function normal(float $mean, float $deviation): self
    {
        InvalidArgument::unless($deviation > 0, 'A prior has a spread.');

        return self::fromLogs(array_map(
            static fn(float $shift): float => -(($shift - $mean) ** 2) / (2 * $deviation ** 2),
            self::grid(),
        ));
    }

    /** @return non-empty-list<float> */
    public static function grid(): array
    {
        return array_map(static fn(int $place): float => self::LOWEST + $place / self::STEPS_PER_UNIT, range(0, self::LAST));
    }

    /** @param \Closure(float): float $likelihood logarithm of the chance of what was observed, by the shift */
    public function observing(\Closure $likelihood): self
    {
        $logs = [];
        foreach (self::grid() as $place => $shift) {
            $logs[] = ($this->weights[$place] > 0.0 ? log($this->weights[$place]) : -INF) + $likelihood($shift);
        }

        return self::fromLogs($logs);
    }

    public function mean(): float
    {
        $mean = 0.0;
        foreach (self::grid() as $place => $shift) {
            $mean += $this->weights[$place] * $shift;
        }

        return $mean;
    }

    public function deviation(): float
    {
        $mean = $this->mean();
        $variance = 0.0;
        foreach (self::grid() as $place => $shift) {
            $variance += $this->weights[$place] * ($shift - $mean) ** 2;
        }

        return sqrt($variance);
    }

    /** The smallest shift up to which the weights sum to at least u, for draws. */
    public function quantile(float $u): float
    {
        $sum = 0.0;
        foreach ($this->weights as $place => $weight) {
            $sum += $weight;
            if ($sum >= $u) {
                return self::LOWEST + $place / self::STEPS_PER_UNIT;
            }
        }

        return -self::LOWEST;
    }

    /** @return list<float> */
    public function toArray(): array
    {
        return $this->weights;
    }

    /** @param list<int|float> $weights as toArray() gave them */
    public static function fromArray(array $weights): self
    {
        InvalidArgument::unless(\count($weights) === self::LAST + 1, 'A posterior has a weight for every place of the grid.');

        return new self(array_map(floatval(...), $weights));
    }

    /** @param list<float> $logs */
    private static function fromLogs(array $logs): self
    {
        $most = max([-INF, ...$logs]);
        $weights = array_map(static fn(float $log): float => exp($log - $most), $logs);
        $sum = array_sum($weights);

        return new self(array_map(static fn(float $weight): float => $weight / $sum, $weights));
    }
}
