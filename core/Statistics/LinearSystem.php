<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

/** Solves small dense systems by Gaussian elimination with partial pivoting. */
final class LinearSystem
{
    private const SINGULAR_BELOW = 1e-300;

    /**
     * @param array<int, array<int, float>> $matrix n × n
     * @param array<int, float>             $right  n
     *
     * @return ?list<float> the solution, or null when the matrix is singular
     */
    public static function solve(array $matrix, array $right): ?array
    {
        $size = \count($right);
        for ($column = 0; $column < $size; ++$column) {
            $pivot = self::pivotRow($matrix, $column, $size);
            if (abs($matrix[$pivot][$column]) < self::SINGULAR_BELOW) {
                return null;
            }
            [$matrix[$column], $matrix[$pivot]] = [$matrix[$pivot], $matrix[$column]];
            [$right[$column], $right[$pivot]] = [$right[$pivot], $right[$column]];
            for ($row = $column + 1; $row < $size; ++$row) {
                $factor = $matrix[$row][$column] / $matrix[$column][$column];
                for ($k = $column; $k < $size; ++$k) {
                    $matrix[$row][$k] -= $factor * $matrix[$column][$k];
                }
                $right[$row] -= $factor * $right[$column];
            }
        }

        return self::substituteBack($matrix, $right, $size);
    }

    /** @param array<int, array<int, float>> $matrix */
    private static function pivotRow(array $matrix, int $column, int $size): int
    {
        $pivot = $column;
        for ($row = $column + 1; $row < $size; ++$row) {
            if (abs($matrix[$row][$column]) > abs($matrix[$pivot][$column])) {
                $pivot = $row;
            }
        }

        return $pivot;
    }

    /**
     * @param array<int, array<int, float>> $matrix upper triangular
     * @param array<int, float>             $right
     *
     * @return list<float>
     */
    private static function substituteBack(array $matrix, array $right, int $size): array
    {
        $solution = array_fill(0, $size, 0.0);
        for ($row = $size - 1; $row >= 0; --$row) {
            $sum = $right[$row];
            for ($k = $row + 1; $k < $size; ++$k) {
                $sum -= $matrix[$row][$k] * $solution[$k];
            }
            $solution[$row] = $sum / $matrix[$row][$row];
        }

        return array_values($solution);
    }
}
