<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/**
 * How much a place in the order depends on the weights: the share of draws of random weights, uniform on the simplex of
 * all six criteria, in which an item stays in the top. Near 1 it is a safe choice, near 0 an artefact of the weights.
 */
final class Steadiness
{
    /**
     * @param list<Opportunity> $opportunities
     * @param int               $draws ≥ 1
     * @param int               $top   places that count as the top
     *
     * @return list<float> 0…1, one per opportunity
     */
    public static function of(array $opportunities, int $draws, int $top, int $seed): array
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $stays = array_fill(0, \count($opportunities), 0);
        for ($draw = 0; $draw < $draws; ++$draw) {
            $order = new Order(Weights::of(self::simplex($random)));
            $numbers = array_keys($opportunities);
            usort($numbers, static fn(int $a, int $b): int => $order->compare($opportunities[$a], $opportunities[$b]));
            foreach (\array_slice($numbers, 0, $top) as $number) {
                ++$stays[$number];
            }
        }

        return array_values(array_map(static fn(int $times): float => $times / $draws, $stays));
    }

    /**
     * Uniform on the simplex: exponential draws divided by their sum (Devroye 1986, chapter V.2).
     *
     * @return array<string, float>
     */
    private static function simplex(\Random\Randomizer $random): array
    {
        $draws = array_map(static fn(): float => -log(($random->getInt(0, (1 << 52) - 1) + .5) / 2 ** 52), Criterion::cases());
        $sum = array_sum($draws);

        return array_combine(Criterion::names(), array_map(static fn(float $draw): float => $draw / $sum, $draws));
    }
}
