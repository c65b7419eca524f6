<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/**
 * The exact 0/1 knapsack: which items of a list bring the most within a capacity of whole units.
 *
 * Dynamic programming over the capacity (Martello and Toth 1990). Of choices that bring alike the one is taken that holds the item listed
 * first, then the next.
 */
final class Knapsack
{
    /** Sums within this share of the largest count as equal. */
    private const ALIKE = 1e-9;

    /**
     * @param array<int, int>   $weights  item → whole units ≥ 0, in the order of preference
     * @param array<int, float> $values   item → value ≥ 0
     * @param int               $capacity whole units ≥ 0
     *
     * @return list<int> the items chosen, in the order of the list
     */
    public static function solve(array $weights, array $values, int $capacity): array
    {
        $items = [];
        foreach ($weights as $item => $weight) {
            if ($weight <= $capacity && $values[$item] > 0) {
                $items[] = $item;
            }
        }
        $all = array_sum(array_map(static fn(int $item): int => $weights[$item], $items));
        if ($all <= $capacity) {
            return $items;
        }
        $items = self::thatMatter($items, $weights, $values, $capacity);
        $best = self::fromHere($items, $weights, $values, $capacity);

        return self::preferred($items, $weights, $values, $capacity, $best);
    }

    /**
     * Of items of one weight no more can be taken than fit; those that bring less than so many others are left out, but for what counts as
     * equal.
     *
     * @param list<int>         $items
     * @param array<int, int>   $weights
     * @param array<int, float> $values
     *
     * @return list<int>
     */
    private static function thatMatter(array $items, array $weights, array $values, int $capacity): array
    {
        $byWeight = [];
        foreach ($items as $item) {
            $byWeight[$weights[$item]][] = $values[$item];
        }
        $alike = self::ALIKE * array_sum($values);
        $least = [];
        foreach ($byWeight as $weight => $ofWeight) {
            rsort($ofWeight, SORT_NUMERIC);
            $least[$weight] = ($ofWeight[intdiv($capacity, max(1, $weight)) - 1] ?? 0.0) - $alike;
        }

        return array_values(
            array_filter($items, static fn(int $item): bool => $weights[$item] === 0 || $values[$item] >= $least[$weights[$item]]),
        );
    }

    /**
     * @param list<int>         $items
     * @param array<int, int>   $weights
     * @param array<int, float> $values
     *
     * @return array<int, array<int, float>> place → room → the most that the items from there on can bring
     */
    private static function fromHere(array $items, array $weights, array $values, int $capacity): array
    {
        $most = array_fill(0, $capacity + 1, 0.0);
        $best = [\count($items) => $most];
        for ($place = \count($items) - 1; $place >= 0; --$place) {
            [$weight, $value] = [$weights[$items[$place]], $values[$items[$place]]];
            for ($room = $capacity; $room >= $weight; --$room) {
                $with = $most[$room - $weight] + $value;
                if ($with > $most[$room]) {
                    $most[$room] = $with;
                }
            }
            $best[$place] = $most;
        }

        return $best;
    }

    /**
     * @param list<int>                     $items
     * @param array<int, int>               $weights
     * @param array<int, float>             $values
     * @param array<int, array<int, float>> $best
     *
     * @return list<int>
     */
    private static function preferred(array $items, array $weights, array $values, int $room, array $best): array
    {
        $needed = $best[0][$room] * (1 - self::ALIKE);
        $taken = 0.0;
        $chosen = [];
        foreach ($items as $place => $item) {
            $weight = $weights[$item];
            if ($weight <= $room && $taken + $values[$item] + $best[$place + 1][$room - $weight] >= $needed) {
                $chosen[] = $item;
                $taken += $values[$item];
                $room -= $weight;
            }
        }

        return $chosen;
    }
}
