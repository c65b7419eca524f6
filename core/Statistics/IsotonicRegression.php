<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

use GreaterReach\Core\Exception\InvalidArgument;

/** Weighted least-squares fit that never rises, by pooling adjacent violators (Barlow et al. 1972). */
final class IsotonicRegression
{
    /**
     * @param list<float> $values
     * @param list<float> $weights as many, each > 0
     *
     * @return list<float>
     */
    public static function nonIncreasing(array $values, array $weights): array
    {
        if (\count($values) !== \count($weights)) {
            throw InvalidArgument::because('Isotonic regression needs one weight per value.');
        }
        $blocks = [];
        foreach ($values as $index => $value) {
            $block = ['mean' => $value, 'weight' => $weights[$index], 'size' => 1];
            while ($blocks !== [] && end($blocks)['mean'] < $block['mean']) {
                $block = self::pool(array_pop($blocks), $block);
            }
            $blocks[] = $block;
        }

        return array_merge(...array_map(static fn(array $block): array => array_fill(0, $block['size'], $block['mean']), $blocks));
    }

    /**
     * @param array{mean: float, weight: float, size: int<1, max>} $left
     * @param array{mean: float, weight: float, size: int<1, max>} $right
     *
     * @return array{mean: float, weight: float, size: int<1, max>}
     */
    private static function pool(array $left, array $right): array
    {
        $weight = $left['weight'] + $right['weight'];

        return [
            'mean' => ($left['mean'] * $left['weight'] + $right['mean'] * $right['weight']) / $weight,
            'weight' => $weight,
            'size' => $left['size'] + $right['size'],
        ];
    }
}
