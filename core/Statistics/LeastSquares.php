<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

/** Ordinary least squares for a straight line y = intercept + slope · x. */
final readonly class LeastSquares
{
    private function __construct(public float $intercept, public float $slope)
    {
    }

    /**
     * @param list<float> $x
     * @param list<float> $y as many as x
     *
     * @return ?self null with fewer than two points or when all x are the same
     */
    public static function line(array $x, array $y): ?self
    {
        $n = \count($x);
        if ($n < 2) {
            return null;
        }
        $meanX = array_sum($x) / $n;
        $meanY = array_sum($y) / $n;
        $sxx = $sxy = 0.0;
        foreach ($x as $i => $value) {
            $sxx += ($value - $meanX) ** 2;
            $sxy += ($value - $meanX) * ($y[$i] - $meanY);
        }

        return $sxx <= 0.0 ? null : new self($meanY - $sxy / $sxx * $meanX, $sxy / $sxx);
    }
}
