<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/**
 * Items that can reach the top under some weights: those with fewer others equal or better in every criterion than there are ranks.
 * Items with different known criteria are not compared with each other.
 */
final class Leaders
{
    /** Kept items are looked through for who stays each time they have doubled. */
    private const LOOKED_THROUGH_FROM = 512;

    /**
     * @var array<string, array{known: list<int>, items: array<int, list<float>>, sums: array<int, float>, enough: int, floor: list<float>}>
     */
    private array $groups = [];

    /** @param int $places that count as the top */
    public function __construct(private readonly int $places)
    {
    }

    /**
     * @param int          $number where it stands when priorities are equal: the lower first
     * @param list<?float> $scores by the criteria that count, always in the same order; null is unknown
     */
    public function add(int $number, array $scores): void
    {
        $values = $known = [];
        foreach ($scores as $place => $score) {
            if ($score !== null) {
                $known[] = $place;
                $values[] = $score;
            }
        }
        $key = implode(' ', $known);
        $this->groups[$key] ??=
            ['known' => $known, 'items' => [], 'sums' => [], 'enough' => self::LOOKED_THROUGH_FROM, 'floor' => []];
        if (self::isBelow($values, $this->groups[$key]['floor'])) {
            return;
        }
        $this->groups[$key]['items'][$number] = $values;
        $this->groups[$key]['sums'][$number] = array_sum($values);
        if (\count($this->groups[$key]['items']) >= $this->groups[$key]['enough']) {
            $this->lookThrough($key);
        }
    }

    /**
     * @return list<array{known: list<int>, items: array<int, list<float>>}> criteria known, and number → scores of those who can come up
     */
    public function groups(): array
    {
        foreach (array_keys($this->groups) as $key) {
            $this->lookThrough((string) $key);
        }

        return array_values(
            array_map(static fn(array $group): array => ['known' => $group['known'], 'items' => $group['items']], $this->groups),
        );
    }

    /** Leaves those out who have as many others before them in every criterion as there are places. */
    private function lookThrough(string $key): void
    {
        ['items' => $items, 'sums' => $sums] = $this->groups[$key];
        // No one with a smaller sum is before anybody in every criterion.
        $numbers = array_keys($items);
        array_multisort($sums, SORT_DESC, SORT_NUMERIC, $numbers, SORT_ASC, SORT_NUMERIC);
        $staying = $kept = [];
        foreach ($numbers as $place => $number) {
            if (! $this->isBehind($items[$number], $number, $staying)) {
                $staying[$number] = $items[$number];
                $kept[$number] = $sums[$place];
            }
        }
        $enough = max(self::LOOKED_THROUGH_FROM, 2 * \count($staying));
        $this->groups[$key] = [
            'known' => $this->groups[$key]['known'],
            'items' => $staying,
            'sums' => $kept,
            'enough' => $enough,
            'floor' => $this->floor($staying),
        ];
    }

    /**
     * What as many as there are places reach in every criterion: anyone who is below it in all of them never comes up.
     *
     * @param array<int, list<float>> $staying best sums first
     *
     * @return list<float> empty where they are too few
     */
    private function floor(array $staying): array
    {
        $floor = [];
        foreach (\count($staying) < $this->places ? [] : \array_slice($staying, 0, $this->places) as $scores) {
            foreach ($scores as $place => $score) {
                $floor[$place] = min($score, $floor[$place] ?? $score);
            }
        }

        return array_values($floor);
    }

    /**
     * @param list<float> $scores
     * @param list<float> $floor
     */
    private static function isBelow(array $scores, array $floor): bool
    {
        foreach ($floor as $place => $bound) {
            if ($scores[$place] >= $bound) {
                return false;
            }
        }

        return $floor !== [];
    }

    /**
     * @param list<float>             $scores
     * @param array<int, list<float>> $others
     */
    private function isBehind(array $scores, int $number, array $others): bool
    {
        $before = 0;
        foreach ($others as $other => $theirs) {
            if (self::isBefore($theirs, $scores, $other < $number) && ++$before >= $this->places) {
                return true;
            }
        }

        return $before >= $this->places;
    }

    /**
     * @param list<float> $one
     * @param list<float> $other
     */
    private static function isBefore(array $one, array $other, bool $standsFirst): bool
    {
        $isAbove = $standsFirst;
        foreach ($one as $place => $score) {
            if ($score < $other[$place]) {
                return false;
            }
            $isAbove = $isAbove || $score > $other[$place];
        }

        return $isAbove;
    }
}
