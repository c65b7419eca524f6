<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * The rows of the position model, counted by difficulty, authority, ground and volume, and in each of these groups by class and fold. One
 * number holds all six, so that rows come out in one order, whatever order they came in.
 */
final class PositionGroups
{
    private const CELLS = PlaceClass::COUNT * PositionObservations::FOLDS;
    private const GROUNDS = 100;
    private const HALVES = 128;

    /** @var array<int, int> group and cell → rows */
    private array $counts = [];

    /** @var array<int, int> class and fold → rows */
    private array $totals;

    private bool $isSorted = true;

    /**
     * @param list<float> $difficulties that occur, rising
     * @param list<float> $authorities  that occur, rising; a single one where not all are known
     * @param bool        $hasAuthority whether that of every domain is known
     */
    public function __construct(
        private readonly array $difficulties,
        private readonly array $authorities,
        public readonly bool $hasAuthority,
    ) {
        $this->totals = array_fill(0, self::CELLS, 0);
    }

    /**
     * @param int $difficulty its number
     * @param int $authority  its number
     * @param int $hundredths ground, 1…99
     * @param int $halves     volume, as PositionFeature::volumeHalves() gives it
     */
    public function add(int $difficulty, int $authority, int $hundredths, int $halves, int $class, int $fold): void
    {
        $group = (($authority * \count($this->difficulties) + $difficulty) * self::GROUNDS + $hundredths) * self::HALVES + $halves;
        $cell = $class * PositionObservations::FOLDS + $fold;
        $key = $group * self::CELLS + $cell;
        $this->counts[$key] = ($this->counts[$key] ?? 0) + 1;
        ++$this->totals[$cell];
        $this->isSorted = false;
    }

    /**
     * Every group with its rows of every fold, always in the same order.
     *
     * @return \Generator<int, array{float, float, int, int, array<int, array<int, int>>}> difficulty, authority, ground in hundredths,
     *     volume in halves, fold → class → rows; what has no row is left out
     */
    public function eachFold(): \Generator
    {
        if (! $this->isSorted) {
            ksort($this->counts, SORT_NUMERIC);
            $this->isSorted = true;
        }
        $group = null;
        $folds = [];
        foreach ($this->counts as $key => $rows) {
            $next = intdiv($key, self::CELLS);
            if ($next !== $group && $group !== null) {
                yield [...$this->features($group), $folds];
                $folds = [];
            }
            $group = $next;
            $cell = $key % self::CELLS;
            $folds[$cell % PositionObservations::FOLDS][intdiv($cell, PositionObservations::FOLDS)] = $rows;
        }
        if ($group !== null) {
            yield [...$this->features($group), $folds];
        }
    }

    /**
     * The groups without one of the folds.
     *
     * @param ?int $without fold left out
     *
     * @return \Generator<int, array{float, float, int, int, list<int>, int}> difficulty, authority, ground in hundredths, volume in
     *     halves, rows by class, all rows; groups without a row are left out
     */
    public function each(?int $without = null): \Generator
    {
        foreach ($this->eachFold() as [$difficulty, $authority, $hundredths, $halves, $folds]) {
            $counts = array_fill(0, PlaceClass::COUNT, 0);
            foreach ($folds as $fold => $classes) {
                foreach ($fold === $without ? [] : $classes as $class => $rows) {
                    $counts[$class] += $rows;
                }
            }
            $all = array_sum($counts);
            if ($all > 0) {
                yield [$difficulty, $authority, $hundredths, $halves, array_values($counts), $all];
            }
        }
    }

    /** @return list<int> rows by class */
    public function rowsByClass(?int $without = null, ?int $only = null): array
    {
        return array_map(static function (array $ofClass) use ($without, $only): int {
            return $only !== null ? $ofClass[$only] : array_sum($ofClass) - ($without === null ? 0 : $ofClass[$without]);
        }, array_chunk($this->totals, PositionObservations::FOLDS));
    }

    /** @return array{float, float, int, int} difficulty, authority, ground in hundredths, volume in halves */
    private function features(int $group): array
    {
        $rest = intdiv($group, self::HALVES * self::GROUNDS);
        $difficulties = \count($this->difficulties);

        return [
            $this->difficulties[$rest % $difficulties],
            $this->authorities[intdiv($rest, $difficulties)],
            intdiv($group, self::HALVES) % self::GROUNDS,
            $group % self::HALVES,
        ];
    }
}
