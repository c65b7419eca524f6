<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * The rows of the position model, counted by difficulty, authority and ground, and in each of these groups by class and fold: millions of
 * rows fit into some hundred thousand groups of 160 bytes.
 */
final class PositionGroups
{
    private const CELLS = PlaceClass::COUNT * PositionObservations::FOLDS;
    private const FORMAT = 'V';
    private const BYTES = 4;
    private const GROUNDS = 100;

    /** @var array<int, int> difficulty, authority and ground in one number → group */
    private array $groups = [];

    private string $counts = '';

    /** @var array<int, int> class and fold → rows */
    private array $totals;

    private bool $isInOrder = false;

    /**
     * @param list<float> $difficulties that occur, each once
     * @param list<float> $authorities  that occur, each once; a single one where not all are known
     * @param bool        $hasAuthority whether that of every domain is known
     */
    public function __construct(private array $difficulties, private array $authorities, public readonly bool $hasAuthority)
    {
        $this->totals = array_fill(0, self::CELLS, 0);
    }

    /**
     * @param int $difficulty its number
     * @param int $authority  its number
     */
    public function add(int $difficulty, int $authority, int $hundredths, int $class, int $fold): void
    {
        $key = ($authority * \count($this->difficulties) + $difficulty) * self::GROUNDS + $hundredths;
        $group = $this->groups[$key] ?? null;
        if ($group === null) {
            $group = $this->groups[$key] = \count($this->groups);
            $this->counts .= str_repeat("\0", self::CELLS * self::BYTES);
        }
        $cell = $class * PositionObservations::FOLDS + $fold;
        ++$this->totals[$cell];
        $this->increase(self::BYTES * (self::CELLS * $group + $cell));
    }

    /**
     * The groups in one order, whatever order their rows came in.
     *
     * @param ?int $without fold left out
     *
     * @return \Generator<int, array{float, float, int, list<int>}> difficulty, authority, ground in hundredths, rows by class; groups
     *     without a row are left out
     */
    public function each(?int $without = null): \Generator
    {
        $all = \count($this->difficulties);
        foreach ($this->inOrder() as $key => $group) {
            $counts = $this->countsOf($group, $without);
            if (array_sum($counts) > 0) {
                $rest = intdiv($key, self::GROUNDS);
                yield [$this->difficulties[$rest % $all], $this->authorities[intdiv($rest, $all)], $key % self::GROUNDS, $counts];
            }
        }
    }

    /**
     * Every group with its rows of every fold, in the same order.
     *
     * @return \Generator<int, array{float, float, int, array<int, list<int>>}> difficulty, authority, ground in hundredths, fold → rows by
     *     class; folds without a row are left out
     */
    public function eachFold(): \Generator
    {
        $all = \count($this->difficulties);
        foreach ($this->inOrder() as $key => $group) {
            $cells = $this->cellsOf($group);
            $folds = [];
            for ($fold = 0; $fold < PositionObservations::FOLDS; ++$fold) {
                $counts = [];
                for ($class = 0; $class < PlaceClass::COUNT; ++$class) {
                    $counts[] = $cells[1 + $class * PositionObservations::FOLDS + $fold];
                }
                if (array_sum($counts) > 0) {
                    $folds[$fold] = $counts;
                }
            }
            $rest = intdiv($key, self::GROUNDS);
            yield [$this->difficulties[$rest % $all], $this->authorities[intdiv($rest, $all)], $key % self::GROUNDS, $folds];
        }
    }

    /** @return list<int> rows by class */
    public function rowsByClass(?int $without = null, ?int $only = null): array
    {
        return array_map(static function (array $ofClass) use ($without, $only): int {
            return $only !== null ? $ofClass[$only] : array_sum($ofClass) - ($without === null ? 0 : $ofClass[$without]);
        }, array_chunk($this->totals, PositionObservations::FOLDS));
    }

    /** @return array<int, int> key → group, by authority, difficulty and ground */
    private function inOrder(): array
    {
        if ($this->isInOrder) {
            return $this->groups;
        }
        $authorities = self::ranks($this->authorities);
        $difficulties = self::ranks($this->difficulties);
        $all = \count($this->difficulties);
        $groups = [];
        foreach ($this->groups as $key => $group) {
            $rest = intdiv($key, self::GROUNDS);
            $rank = $authorities[intdiv($rest, $all)] * $all + $difficulties[$rest % $all];
            $groups[$rank * self::GROUNDS + $key % self::GROUNDS] = $group;
        }
        ksort($groups, SORT_NUMERIC);
        sort($this->authorities, SORT_NUMERIC);
        sort($this->difficulties, SORT_NUMERIC);
        $this->isInOrder = true;

        return $this->groups = $groups;
    }

    /**
     * @param list<float> $values
     *
     * @return array<int, int> number → rank of its value
     */
    private static function ranks(array $values): array
    {
        asort($values, SORT_NUMERIC);

        return array_flip(array_keys($values));
    }

    /** @return list<int> by class */
    private function countsOf(int $group, ?int $without): array
    {
        $cells = $this->cellsOf($group);
        $counts = [];
        for ($class = 0, $cell = 1; $class < PlaceClass::COUNT; ++$class, $cell += PositionObservations::FOLDS) {
            $counts[] = $cells[$cell] + $cells[$cell + 1] + $cells[$cell + 2] + $cells[$cell + 3] + $cells[$cell + 4] -
                ($without === null ? 0 : $cells[$cell + $without]);
        }

        return $counts;
    }

    /** @return array<int, int> by class and fold, from 1 */
    private function cellsOf(int $group): array
    {
        /** @var array<int, int> $cells */
        $cells = unpack(self::FORMAT.self::CELLS, $this->counts, self::BYTES * self::CELLS * $group);

        return $cells;
    }

    /** Adds one to the little-endian number at that place. */
    private function increase(int $place): void
    {
        do {
            $byte = \ord($this->counts[$place]) + 1 & 255;
            $this->counts[$place] = \chr($byte);
        } while ($byte === 0 && ++$place > 0);
    }
}
