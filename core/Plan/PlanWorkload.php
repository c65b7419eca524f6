<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/**
 * How the work of a plan lies over its months. An item that fits into one month lies in its own, even where that makes the
 * month too full; a larger one takes what the others leave of its month and of those that follow, and is done with the last.
 */
final readonly class PlanWorkload
{
    /** Months after which a larger item is given up and all that is left of it lies in the last. */
    private const LONGEST = 120;

    /**
     * @param array<int, array<string, float>> $parts item → month → days
     */
    private function __construct(private array $parts)
    {
    }

    /**
     * @param array<int, array{begins: Month, days: float}> $items    number of the item → its month, days of work
     * @param float                                         $capacity days in each month; where there are none every item lies in its own
     *     month
     */
    public static function of(array $items, float $capacity): self
    {
        $isLarge = static fn(array $item): bool => $capacity > 0 && $item['days'] > $capacity;
        $large = array_filter($items, $isLarge);
        uasort($large, static fn(array $a, array $b): int => $b['begins']->until($a['begins']));
        $parts = $loads = [];
        foreach (array_diff_key($items, $large) as $number => $item) {
            $month = (string) $item['begins'];
            $parts[$number] = [$month => $item['days']];
            $loads[$month] = ($loads[$month] ?? 0.0) + $item['days'];
        }
        foreach ($large as $number => $item) {
            $parts[$number] = self::spread($item['begins'], $item['days'], $capacity, $loads);
            foreach ($parts[$number] as $month => $days) {
                $loads[$month] = ($loads[$month] ?? 0.0) + $days;
            }
        }

        return new self($parts);
    }

    /** @return array<string, float> month → days of all items, in the order of the months */
    public function loads(): array
    {
        return $this->loadsOf(array_keys($this->parts));
    }

    /**
     * @param list<int> $numbers of items
     *
     * @return array<string, float> month → days of these, in the order of the months
     */
    public function loadsOf(array $numbers): array
    {
        $loads = [];
        foreach (array_intersect_key($this->parts, array_flip($numbers)) as $part) {
            foreach ($part as $month => $days) {
                $loads[$month] = ($loads[$month] ?? 0.0) + $days;
            }
        }
        ksort($loads);

        return $loads;
    }

    /** @return array<string, float> month → days of one item, the first month first; empty for an item that is not planned */
    public function partsOf(int $number): array
    {
        return $this->parts[$number] ?? [];
    }

    /** The month at whose end an item is done; null for one that is not planned. */
    public function endOf(int $number): ?Month
    {
        $last = array_key_last($this->partsOf($number));

        return $last === null ? null : Month::parse($last);
    }

    /**
     * @param array<string, float> $loads month → days that are taken
     *
     * @return non-empty-array<string, float> month → days
     */
    private static function spread(Month $begins, float $days, float $capacity, array $loads): array
    {
        $part = [(string) $begins => 0.0];
        for ($step = 0; $days > 0; ++$step) {
            $month = (string) $begins->plus($step);
            $free = $step === self::LONGEST ? $days : max(0.0, $capacity - ($loads[$month] ?? 0.0));
            $taken = min($days, $free);
            if ($taken > 0) {
                $part[$month] = $taken;
            }
            $days -= $taken;
        }

        return $part;
    }
}
