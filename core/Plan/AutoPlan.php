<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;

/**
 * Fills months with work in order: pinned items first, then in each month the exact best choice by expected gain of
 * what is not placed yet and fits (a knapsack over half days). An item over a whole month's capacity is never chosen; a pinned one
 * takes what is left of a month and of those that follow, and is placed only if it ends within the plan.
 */
final class AutoPlan
{
    public const UNITS_PER_DAY = 2;

    /** So many items with the most worth are candidates. */
    public const MOST_CANDIDATES = 500;

    /** @var array<int, int> month → half days still free */
    private array $free;

    private readonly int $capacity;

    /**
     * @param int               $months   ≥ 1
     * @param float             $capacity days in each month, ≥ 0
     * @param array<int, float> $taken    number of a month → days that other work takes
     */
    public function __construct(private readonly int $months, float $capacity, private readonly array $taken = [])
    {
        if ($months < 1 || $capacity < 0) {
            throw InvalidArgument::because('A plan needs at least one month and no negative capacity.');
        }
        $this->capacity = (int) floor(round($capacity * self::UNITS_PER_DAY, 9));
        $this->free = $this->room();
    }

    /** @return array<int, int> month → half days free, before anything is placed */
    private function room(): array
    {
        $room = [];
        for ($month = 0; $month < $this->months; ++$month) {
            $taken = (int) ceil(round(($this->taken[$month] ?? 0.0) * self::UNITS_PER_DAY, 9));
            $room[$month] = max(0, $this->capacity - $taken);
        }

        return $room;
    }

    /**
     * @param list<WorkItem> $items in the order of their rank
     *
     * @return list<Placement> by month, then by rank
     */
    public function place(array $items): array
    {
        $this->free = $this->room();
        $placed = [];
        foreach ($items as $rank => $item) {
            $placement = $item->isPinned ? $this->placePinned($item) : null;
            if ($placement !== null) {
                $placed[$rank] = $placement;
            }
        }
        $waiting = array_diff_key($this->candidates($items), $placed);
        for ($month = 0; $month < $this->months && $waiting !== []; ++$month) {
            foreach ($this->choice($month, $waiting) as $rank) {
                $placed[$rank] = $this->put($waiting[$rank], $month);
                unset($waiting[$rank]);
            }
        }
        ksort($placed);
        // Sorting is stable: within a month the order of the ranks stays.
        usort($placed, static fn(Placement $a, Placement $b): int => $a->begins <=> $b->begins);

        return $placed;
    }

    /**
     * Those that are too large to be chosen.
     *
     * @param list<WorkItem> $items
     *
     * @return list<WorkItem>
     */
    public function leftOut(array $items): array
    {
        return array_values(
            array_filter($items, fn(WorkItem $item): bool => ! $item->isPinned && $item->units() > $this->capacity),
        );
    }

    /**
     * @param list<WorkItem> $items
     *
     * @return array<int, WorkItem> rank → item, by rank
     */
    private function candidates(array $items): array
    {
        $fitting = array_filter($items, fn(WorkItem $item): bool => $item->units() <= $this->capacity && $item->expectedGain > 0);
        $worth = array_map(static fn(WorkItem $item): float => $item->worth(), $fitting);
        arsort($worth, SORT_NUMERIC);
        $chosen = array_intersect_key($fitting, \array_slice($worth, 0, self::MOST_CANDIDATES, true));
        ksort($chosen);

        return $chosen;
    }

    /**
     * Those that are candidates at any capacity, so that trying many of them need not look at the rest: an item has the fewest beside it
     * where the capacity just takes it.
     *
     * @param list<WorkItem> $items in the order of their rank
     *
     * @return list<WorkItem> in the same order
     */
    public static function everCandidates(array $items): array
    {
        $worth = array_map(static fn(WorkItem $item): float => $item->worth(), $items);
        arsort($worth, SORT_NUMERIC);
        $kept = $better = [];
        foreach (array_keys($worth) as $rank) {
            $units = $items[$rank]->units();
            $beside = array_sum(array_filter($better, static fn(int $other): bool => $other <= $units, ARRAY_FILTER_USE_KEY));
            if ($items[$rank]->isPinned || ($items[$rank]->expectedGain > 0 && $beside < self::MOST_CANDIDATES)) {
                $kept[$rank] = $items[$rank];
            }
            $better[$units] = ($better[$units] ?? 0) + ($items[$rank]->expectedGain > 0 ? 1 : 0);
        }
        ksort($kept);

        return array_values($kept);
    }

    private function placePinned(WorkItem $item): ?Placement
    {
        $isLarge = $item->units() > $this->capacity;
        for ($month = 0; $month < $this->months; ++$month) {
            $room = $isLarge ? array_sum(\array_slice($this->free, $month)) : $this->free[$month];
            if ($item->units() <= $room && (! $isLarge || $this->free[$month] > 0)) {
                return $this->put($item, $month);
            }
        }

        return null;
    }

    /**
     * @param array<int, WorkItem> $waiting rank → item
     *
     * @return list<int> ranks
     */
    private function choice(int $month, array $waiting): array
    {
        return Knapsack::solve(
            array_map(static fn(WorkItem $item): int => $item->units(), $waiting),
            array_map(static fn(WorkItem $item): float => $item->expectedGain, $waiting),
            $this->free[$month],
        );
    }

    private function put(WorkItem $item, int $month): Placement
    {
        $left = $item->units();
        $ends = $month;
        for ($at = $month; $left > 0 && $at < $this->months; ++$at) {
            $used = min($left, $this->free[$at]);
            $this->free[$at] -= $used;
            $left -= $used;
            $ends = $used > 0 ? $at : $ends;
        }

        return new Placement($item, $month, $ends);
    }
}
