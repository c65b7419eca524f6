<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/**
 * The exact 0/1 knapsack: which items of a list bring the most within a capacity of whole units.
 *
 * Dynamic programming over the capacity (Martello and Toth 1990). Among items of one weight only the best ⌊capacity ÷
 * weight⌋ can matter, so that a long list costs hardly more than reading it once. Ties go to the item listed first.
 */
final class Knapsack
{
    /**
     * @param array<int, int>   $weights  item → whole units ≥ 0
     * @param array<int, float> $values   item → value ≥ 0
     * @param int               $capacity whole units ≥ 0
     *
     * @return list<int> the items chosen, in the order of the list
     */
    public static function solve(array $weights, array $values, int $capacity): array
    {
        $candidates = self::candidates($weights, $values, $capacity);
        $best = array_fill(0, $capacity + 1, 0.0);
        $taken = [];
        foreach ($candidates as $place => $item) {
            $weight = $weights[$item];
            for ($room = $capacity; $room >= $weight; --$room) {
                $with = $best[$room - $weight] + $values[$item];
                if ($with > $best[$room]) {
                    $best[$room] = $with;
                    $taken[$place][$room] = true;
                }
            }
        }

        return self::trace($candidates, $weights, $taken, $capacity);
    }

    /**
     * @param array<int, int>   $weights
     * @param array<int, float> $values
     *
     * @return list<int>
     */
    private static function candidates(array $weights, array $values, int $capacity): array
    {
        $byWeight = [];
        foreach ($weights as $item => $weight) {
            if ($weight <= $capacity && $values[$item] > 0) {
                $byWeight[$weight][] = $item;
            }
        }
        $candidates = [];
        foreach ($byWeight as $weight => $items) {
            usort($items, static fn(int $a, int $b): int => $values[$b] <=> $values[$a] ?: $a <=> $b);
            array_push($candidates, ...($weight === 0 ? $items : \array_slice($items, 0, intdiv($capacity, $weight))));
        }
        usort($candidates, static fn(int $a, int $b): int => $values[$b] <=> $values[$a] ?: $a <=> $b);

        return $candidates;
    }

    /**
     * @param list<int>                     $candidates
     * @param array<int, int>               $weights
     * @param array<int, array<int, true>>  $taken      place → room in which it was taken
     *
     * @return list<int>
     */
    private static function trace(array $candidates, array $weights, array $taken, int $room): array
    {
        $chosen = [];
        for ($place = \count($candidates) - 1; $place >= 0; --$place) {
            if (isset($taken[$place][$room])) {
                $chosen[] = $candidates[$place];
                $room -= $weights[$candidates[$place]];
            }
        }
        sort($chosen);

        return $chosen;
    }
}
