<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Results\RoundedFigure;

/**
 * How much a place in the order depends on the weights: the share of draws of random weights, uniform on the simplex of the criteria that
 * count, in which an item stays in the top. Near 1 it is a safe choice, near 0 an artefact of the weights.
 *
 * Whatever the weights, an item behind as many others in every criterion as there are places never comes to the top; so few are drawn.
 */
final class Steadiness
{
    private const SAFE = .8;
    private const OPEN = .3;

    /** What a share of the draws (0…1) means; the bounds are a choice of our own. */
    public static function meaning(float $share): string
    {
        return match (true) {
            $share >= self::SAFE => 'a safe choice whatever the weights',
            $share >= self::OPEN => 'depends on the weights',
            $share > 0.0 => 'in the top with few weights only',
            default => 'not in the top with any weights drawn',
        };
    }

    /**
     * @param list<Opportunity> $opportunities
     * @param Weights           $weights whose criteria count
     * @param int               $draws   ≥ 1
     * @param int               $top     ranks that count as the top
     *
     * @return list<float> 0…1, one per opportunity
     */
    public static function of(array $opportunities, Weights $weights, int $draws, int $top, int $seed): array
    {
        $numbers = array_keys($opportunities);
        usort($numbers, static fn(int $a, int $b): int => OpportunityOrder::beyondPriority($opportunities[$a], $opportunities[$b]));
        $shares = array_fill(0, \count($opportunities), 0.0);
        $places = $top;
        for ($part = 0; $part < OpportunityOrder::PARTS && $places > 0; ++$part) {
            $here = [];
            foreach ($numbers as $number) {
                if (OpportunityOrder::part($opportunities[$number]) === $part) {
                    $here[$number] = array_map($opportunities[$number]->scores->at(...), $weights->criteria());
                }
            }
            $found = self::ofScores($here, \count($weights->criteria()), $draws, $places, $seed);
            $shares = array_replace($shares, $found);
            $places -= \count($found);
        }

        return array_values($shares);
    }

    /**
     * @template Name of array-key
     *
     * @param iterable<Name, list<?float>> $scores   by the criteria that count, of opportunities of one part of the order, as they stand
     *     where priorities are equal; null is unknown
     * @param int                          $criteria how many count
     *
     * @return array<Name, float> share above 0 and up to 1; who is not there never comes to the top
     */
    public static function ofScores(iterable $scores, int $criteria, int $draws, int $top, int $seed): array
    {
        $leaders = new Leaders($top);
        $names = [];
        foreach ($scores as $name => $score) {
            $leaders->add(\count($names), $score);
            $names[] = $name;
        }
        $groups = $leaders->groups();
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $stays = [];
        for ($draw = 0; $draw < $draws; ++$draw) {
            foreach (self::leading($groups, self::simplex($random, $criteria), $top) as $number) {
                $stays[$number] = ($stays[$number] ?? 0) + 1;
            }
        }
        ksort($stays);
        $shares = [];
        foreach ($stays as $number => $times) {
            $shares[$names[$number]] = (float) ($times / $draws);
        }

        return $shares;
    }

    /**
     * @param list<array{known: list<int>, items: array<int, list<float>>}> $groups
     * @param list<float>                                                   $weights
     *
     * @return list<int> the numbers in the top
     */
    private static function leading(array $groups, array $weights, int $top): array
    {
        $numbers = $priorities = [];
        foreach ($groups as $group) {
            $all = 0.0;
            foreach ($group['known'] as $criterion) {
                $all += $weights[$criterion];
            }
            foreach ($group['items'] as $number => $scores) {
                $sum = 0.0;
                foreach ($group['known'] as $place => $criterion) {
                    $sum += $weights[$criterion] * $scores[$place];
                }
                $numbers[] = $number;
                $priorities[] = $all > 0.0 ? RoundedFigure::of($sum / $all) : -1.0;
            }
        }
        array_multisort($priorities, SORT_DESC, SORT_NUMERIC, $numbers, SORT_ASC, SORT_NUMERIC);

        return \array_slice($numbers, 0, $top);
    }

    /**
     * Uniform on the simplex: exponential draws divided by their sum (Devroye 1986, chapter V.2).
     *
     * @return list<float>
     */
    private static function simplex(\Random\Randomizer $random, int $criteria): array
    {
        $draws = [];
        for ($criterion = 0; $criterion < $criteria; ++$criterion) {
            $draws[] = -log(($random->getInt(0, (1 << 52) - 1) + .5) / 2 ** 52);
        }
        $sum = array_sum($draws);

        return array_map(static fn(float $draw): float => $draw / $sum, $draws);
    }
}
