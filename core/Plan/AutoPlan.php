<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\Misuse;

/**
 * Fills months with work in order: pinned items first, then in each month the exact best choice by expected gain of
 * what is not placed yet and fits (a knapsack over half days). An item larger than a whole month takes a free month
 * whole and what is left of it from the months that follow, and is placed only if it ends within the plan.
 */
final class AutoPlan
{
    public const UNITS_PER_DAY = 2;

    /** @var array<int, int> month → half days still free */
    private array $free;

    /** @var list<Placement> */
    private array $placements = [];

    private readonly int $capacity;

    /**
     * @param int   $months   ≥ 1
     * @param float $capacity days in each month, ≥ 0
     */
    public function __construct(private readonly int $months, float $capacity)
    {
        if ($months < 1 || $capacity < 0) {
            throw Misuse::because('A plan needs at least one month and no negative capacity.');
        }
        $this->capacity = (int) floor($capacity * self::UNITS_PER_DAY);
        $this->free = array_fill(0, $months, $this->capacity);
    }

    /**
     * @param list<WorkItem> $items
     *
     * @return list<Placement> by month, then by expected gain, then by keyword
     */
    public function place(array $items): array
    {
        $items = $this->worthPlacing($items);
        usort($items, self::byGain(...));
        $waiting = [];
        foreach ($items as $item) {
            if (! $item->isPinned || ! $this->placePinned($item)) {
                $waiting[] = $item;
            }
        }
        for ($month = 0; $month < $this->months; ++$month) {
            $waiting = $this->fill($month, $waiting);
        }
        usort(
            $this->placements,
            static fn(Placement $a, Placement $b): int => $a->begins <=> $b->begins ?:
            $b->item->expectedGain <=> $a->item->expectedGain ?:
            strcmp($a->item->keyword, $b->item->keyword),
        );

        return $this->placements;
    }

    /**
     * Of items that take the same half days only as many can ever be placed as fit into all months; the best of them are
     * enough. Pinned items are all kept.
     *
     * @param list<WorkItem> $items
     *
     * @return list<WorkItem>
     */
    private function worthPlacing(array $items): array
    {
        $kept = [];
        $bySize = [];
        foreach ($items as $item) {
            $size = $item->units();
            if ($item->isPinned || $size === 0) {
                $kept[] = $item;
                continue;
            }
            $bySize[$size][] = $item;
            $most = $this->months * max(1, intdiv($this->capacity, $size));
            if (\count($bySize[$size]) > 2 * $most + 100) {
                $bySize[$size] = self::best($bySize[$size], $most);
            }
        }

        return array_merge($kept, ...array_values($bySize));
    }

    /**
     * @param list<WorkItem> $items
     *
     * @return list<WorkItem>
     */
    private static function best(array $items, int $most): array
    {
        usort($items, self::byGain(...));

        return \array_slice($items, 0, $most);
    }

    private static function byGain(WorkItem $a, WorkItem $b): int
    {
        return $b->expectedGain <=> $a->expectedGain ?: strcmp($a->keyword, $b->keyword);
    }

    private function placePinned(WorkItem $item): bool
    {
        for ($month = 0; $month < $this->months; ++$month) {
            if ($this->fits($item, $month)) {
                $this->put($item, $month);

                return true;
            }
        }

        return false;
    }

    /**
     * @param list<WorkItem> $waiting
     *
     * @return list<WorkItem> what still waits
     */
    private function fill(int $month, array $waiting): array
    {
        $weights = $values = [];
        foreach ($waiting as $number => $item) {
            if ($this->fits($item, $month)) {
                $weights[$number] = min($item->units(), $this->capacity);
                $values[$number] = $item->expectedGain;
            }
        }
        foreach (Knapsack::solve($weights, $values, $this->free[$month]) as $number) {
            $this->put($waiting[$number], $month);
            unset($waiting[$number]);
        }

        return array_values($waiting);
    }

    private function fits(WorkItem $item, int $month): bool
    {
        if ($item->units() <= $this->capacity) {
            return $item->units() <= $this->free[$month];
        }

        return $this->capacity > 0 &&
            $this->free[$month] === $this->capacity &&
            $item->units() <= array_sum(\array_slice($this->free, $month));
    }

    private function put(WorkItem $item, int $month): void
    {
        $left = $item->units();
        $ends = $month;
        for ($at = $month; $left > 0 && $at < $this->months; ++$at) {
            $used = min($left, $this->free[$at]);
            $this->free[$at] -= $used;
            $left -= $used;
            $ends = $used > 0 ? $at : $ends;
        }
        $this->placements[] = new Placement($item, $month, $ends);
    }
}
