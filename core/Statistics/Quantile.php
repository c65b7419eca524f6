<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

use GreaterReach\Core\Exception\InvalidArgument;

/** Sample quantiles by linear interpolation, type 7 of Hyndman and Fan (1996), the default of R and NumPy. */
final class Quantile
{
    /**
     * @param list<float> $sorted ascending, not empty
     * @param float       $share  0…1
     */
    public static function ofSorted(array $sorted, float $share): float
    {
        if ($sorted === []) {
            throw InvalidArgument::because('A quantile needs at least one value.');
        }
        $place = (\count($sorted) - 1) * $share;
        $below = (int) floor($place);
        $above = min($below + 1, \count($sorted) - 1);

        return $sorted[$below] + ($place - $below) * ($sorted[$above] - $sorted[$below]);
    }

    /** @param list<float> $values in any order, not empty */
    public static function of(array $values, float $share): float
    {
        sort($values);

        return self::ofSorted($values, $share);
    }

    /** @param list<float> $values not empty */
    public static function median(array $values): float
    {
        return self::of($values, .5);
    }
}
