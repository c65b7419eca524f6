<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Results\Places;
use GreaterReach\Core\Winning\PlaceChances;

/**
 * What a page gains where it comes to, if it moves at all: one number u on (0, 1] gives each of its keywords its place, the smallest t with
 * Σ P(i | now) ≥ u over i ≤ t, since one page carries them all. The smaller u the better the places; the gain falls in steps.
 */
final readonly class PlaceGains
{
    /**
     * @param list<float> $ends  up to which u each step goes, rising
     * @param list<float> $gains visits a month on each step; beyond the last nothing is gained
     */
    private function __construct(private array $ends, private array $gains)
    {
    }

    /**
     * @param list<array{PlaceChances, ?int, float}> $keywords of the page: chances, our position now, searches a month that can be won
     */
    public static function of(array $keywords, CtrCurve $curve): self
    {
        /** @var array<string, float> $steps */
        $steps = [];
        $gain = 0.0;
        foreach ($keywords as [$chances, $position, $searches]) {
            if ($searches <= 0.0 || $position === 1 || $chances->noWorseThan($position) <= 0.0) {
                continue;
            }
            $gain += self::addSteps($steps, $chances, $position, $searches, $curve);
        }
        ksort($steps, SORT_STRING);
        $ends = $gains = [];
        foreach ($steps as $end => $falls) {
            $ends[] = (float) $end;
            $gains[] = max(0.0, $gain);
            $gain -= $falls;
        }

        return new self($ends, $gains);
    }

    /**
     * All or nothing, where no more is known than what the target would bring.
     *
     * @param float $chance 0…1 to reach it if the page moves
     */
    public static function allOrNothing(float $gain, float $chance): self
    {
        return $chance > 0.0 && $gain > 0.0 ? new self([min(1.0, $chance)], [$gain]) : new self([], []);
    }

    /**
     * As toArray() gave it.
     *
     * @param list<int|float> $ends
     * @param list<int|float> $gains
     */
    public static function kept(array $ends, array $gains): self
    {
        return new self(array_map(floatval(...), $ends), array_map(floatval(...), $gains));
    }

    /** @return array{ends: list<float>, gains: list<float>} */
    public function toArray(): array
    {
        return ['ends' => $this->ends, 'gains' => $this->gains];
    }

    /** The same in so many steps at most, of equal length, with the same mean. */
    public function inSteps(int $most): self
    {
        $count = \count($this->ends);
        if ($count <= $most) {
            return $this;
        }
        $length = $this->ends[$count - 1] / $most;
        $sums = array_fill(0, $most, 0.0);
        $before = 0.0;
        foreach ($this->ends as $step => $end) {
            $last = min($most - 1, (int) floor($end / $length));
            for ($at = min($most - 1, (int) floor($before / $length)); $at <= $last; ++$at) {
                $sums[$at] += max(0.0, min($end, ($at + 1) * $length) - max($before, $at * $length)) * $this->gains[$step];
            }
            $before = $end;
        }

        return new self(
            array_map(static fn(int $step): float => $step * $length, range(1, $most)),
            array_values(array_map(static fn(float $sum): float => $sum / $length, $sums)),
        );
    }

    /** @param float $draw above 0, up to 1 */
    public function at(float $draw): float
    {
        $low = 0;
        $high = \count($this->ends);
        while ($low < $high) {
            $middle = $low + $high >> 1;
            if ($this->ends[$middle] < $draw) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $this->gains[$low] ?? 0.0;
    }

    /** Over all draws there could be. */
    public function mean(): float
    {
        $sum = $before = 0.0;
        foreach ($this->ends as $step => $end) {
            $sum += ($end - $before) * $this->gains[$step];
            $before = $end;
        }

        return $sum;
    }

    /**
     * @param array<array-key, float> $steps u → by how much the gain falls beyond it, as text that sorts as the number does
     *
     * @return float what the best place would bring
     */
    private static function addSteps(array &$steps, PlaceChances $chances, ?int $position, float $searches, CtrCurve $curve): float
    {
        $last = $position ?? Places::WORST;
        $now = $position === null ? 0.0 : $curve->at($position);
        $whole = $chances->noWorseThan($position);
        for ($place = 1; $place <= $last; ++$place) {
            $here = $curve->at($place) - $now;
            $beyond = $place === $last ? 0.0 : $curve->at($place + 1) - $now;
            $end = sprintf('%.15F', min(1.0, $chances->upTo($place) / $whole));
            $steps[$end] = ($steps[$end] ?? 0.0) + $searches * ($here - $beyond);
        }

        return $searches * ($curve->at(1) - $now);
    }
}
