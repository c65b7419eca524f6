<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/**
 * How much a place in the order depends on the weights: the share of draws of random weights, uniform on the simplex of
 * all six criteria, in which an item stays in the top. Near 1 it is a safe choice, near 0 an artefact of the weights.
 *
 * Only the scores depend on the weights, so opportunities with the same scores are drawn as one group.
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
     * @param int               $draws ≥ 1
     * @param int               $top   places that count as the top
     *
     * @return list<float> 0…1, one per opportunity
     */
    public static function of(array $opportunities, int $draws, int $top, int $seed): array
    {
        $numbers = array_keys($opportunities);
        usort($numbers, static fn(int $a, int $b): int => OpportunityOrder::beyondPriority($opportunities[$a], $opportunities[$b]));
        $known = array_values(array_filter($numbers, static fn(int $number): bool => $opportunities[$number]->clicks->gain !== null));
        $unknown = array_values(array_diff($numbers, $known));
        $shares = array_fill(0, \count($opportunities), 0.0);
        foreach ([[$known, $top], [$unknown, $top - \count($known)]] as [$part, $places]) {
            $scores = array_map(static fn(int $number): Scores => $opportunities[$number]->scores, $part);
            foreach (self::ofScores($scores, $draws, $places, $seed) as $place => $share) {
                $shares[$part[$place]] = $share;
            }
        }

        return array_values($shares);
    }

    /**
     * @param list<Scores> $scores of opportunities whose gain is known, in the order that holds where priorities are equal
     *
     * @return list<float> 0…1, one for each
     */
    public static function ofScores(array $scores, int $draws, int $top, int $seed): array
    {
        $groups = self::groups($scores, max(0, $top));
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $stays = array_fill(0, \count($scores), 0);
        for ($draw = 0; $draw < $draws; ++$draw) {
            foreach (self::leading($groups, Weights::of(self::simplex($random)), $top) as $number) {
                ++$stays[$number];
            }
        }

        return array_values(array_map(static fn(int $times): float => $times / $draws, $stays));
    }

    /**
     * @param list<Scores> $scores
     *
     * @return list<array{scores: Scores, members: list<int>}> at most as many members as can be in the top, best first
     */
    private static function groups(array $scores, int $top): array
    {
        $groups = [];
        foreach ($scores as $number => $score) {
            $key = implode(' ', array_map(static fn(?int $points): string => $points === null ? '-' : (string) $points, $score->toArray()));
            $groups[$key] ??= ['scores' => $score, 'members' => []];
            if (\count($groups[$key]['members']) < $top) {
                $groups[$key]['members'][] = $number;
            }
        }

        return array_values($groups);
    }

    /**
     * @param list<array{scores: Scores, members: list<int>}> $groups
     *
     * @return list<int> the numbers in the top
     */
    private static function leading(array $groups, Weights $weights, int $top): array
    {
        $ofPriority = [];
        foreach ($groups as $number => $group) {
            $ofPriority[(string) json_encode($weights->priorityOf($group['scores']) ?? -1.0)][] = $number;
        }
        krsort($ofPriority, SORT_NUMERIC);
        $leading = [];
        foreach ($ofPriority as $level) {
            if (\count($leading) >= $top) {
                break;
            }
            $members = array_merge(...array_map(static fn(int $number): array => $groups[$number]['members'], $level));
            sort($members);
            array_push($leading, ...\array_slice($members, 0, $top - \count($leading)));
        }

        return $leading;
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
