<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * Adds up, for one bound, what was said and what was seen.
 *
 * @phpstan-import-type Bin from Calibration
 */
final class CalibrationTally
{
    /** Number of the class that ends at the bound. */
    public readonly int $class;

    /** @var array<int, int> */
    private array $rows;

    /** @var array<int, float> */
    private array $said;

    /** @var array<int, int> */
    private array $seen;

    private float $error = 0.0;

    private float $baseError = 0.0;

    public function __construct(public readonly int $bound)
    {
        $this->class = PlaceClass::of($bound);
        $this->rows = $this->seen = array_fill(0, Calibration::BINS, 0);
        $this->said = array_fill(0, Calibration::BINS, 0.0);
    }

    /**
     * What always saying the share of the other folds would have cost in this one.
     *
     * @param list<int> $inFold rows by class
     * @param list<int> $others rows by class of the other folds
     */
    public function addBase(array $inFold, array $others): void
    {
        $elsewhere = array_sum($others) === 0 ? 0.0 : $this->within($others) / array_sum($others);
        $within = $this->within($inFold);
        $this->baseError += $within * (1 - $elsewhere) ** 2 + (array_sum($inFold) - $within) * $elsewhere ** 2;
    }

    /** @param array<int, int> $counts class → rows, all told the same chance */
    public function add(float $chance, array $counts): void
    {
        $rows = $within = 0;
        foreach ($counts as $class => $count) {
            $rows += $count;
            $within += $class <= $this->class ? $count : 0;
        }
        $bin = min(Calibration::BINS - 1, (int) ($chance * Calibration::BINS));
        $this->rows[$bin] += $rows;
        $this->said[$bin] += $rows * $chance;
        $this->seen[$bin] += $within;
        $this->error += $within * (1 - $chance) ** 2 + ($rows - $within) * $chance ** 2;
    }

    /** @return list<Bin> */
    public function bins(): array
    {
        $bins = [];
        foreach ($this->rows as $bin => $rows) {
            $bins[] = [
                'from' => $bin / Calibration::BINS,
                'to' => ($bin + 1) / Calibration::BINS,
                'rows' => $rows,
                'predicted' => $rows === 0 ? null : $this->said[$bin] / $rows,
                'observed' => $rows === 0 ? null : $this->seen[$bin] / $rows,
            ];
        }

        return $bins;
    }

    public function brier(): ?float
    {
        return $this->mean($this->error);
    }

    public function base(): ?float
    {
        return $this->mean($this->baseError);
    }

    private function mean(float $error): ?float
    {
        $rows = array_sum($this->rows);

        return $rows === 0 ? null : $error / $rows;
    }

    /** @param list<int> $counts */
    private function within(array $counts): int
    {
        return array_sum(\array_slice($counts, 0, $this->class + 1));
    }
}
