<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * The rows of the position model, counted by difficulty, authority and ground, and in each of these groups by class and fold: millions of
 * rows fit into some hundred thousand groups of 160 bytes. As soon as they are read none is added any more, and only the cells that
 * have rows are kept: number of the cell and rows, a byte each, where 255 says that the rows follow in four bytes of their own.
 */
final class PositionGroups
{
    private const CELLS = PlaceClass::COUNT * PositionObservations::FOLDS;
    private const FORMAT = 'V';
    private const BYTES = 4;
    private const GROUNDS = 100;
    private const LARGE = "\xff";

    /** @var array<int, int> difficulty, authority and ground in one number → group */
    private array $groups = [];

    private string $counts = '';

    /** @var array<int, int> class and fold → rows */
    private array $totals;

    /** Once they are in order: of each group the number of cells that have rows, and these. */
    private ?string $cells = null;

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
     * @return \Generator<int, array{float, float, int, array<int, int>, int}> difficulty, authority, ground in hundredths, rows by
     *     class, all rows; groups without a row are left out
     */
    public function each(?int $without = null): \Generator
    {
        $cells = $this->inOrder();
        $all = \count($this->difficulties);
        $none = array_fill(0, PlaceClass::COUNT, 0);
        $at = 0;
        foreach ($this->groups as $key => $group) {
            $counts = $none;
            $rows = 0;
            for ($left = \ord($cells[$at++]); $left > 0; --$left) {
                $cell = \ord($cells[$at++]);
                $count = self::read($cells, $at);
                if ($cell % PositionObservations::FOLDS !== $without) {
                    $counts[intdiv($cell, PositionObservations::FOLDS)] += $count;
                    $rows += $count;
                }
            }
            if ($rows > 0) {
                $rest = intdiv($key, self::GROUNDS);
                yield [$this->difficulties[$rest % $all], $this->authorities[intdiv($rest, $all)], $key % self::GROUNDS, $counts, $rows];
            }
        }
    }

    /**
     * Every group with its rows of every fold, in the same order.
     *
     * @return \Generator<int, array{float, float, int, array<int, array<int, int>>}> difficulty, authority, ground in hundredths,
     *     fold → class → rows; what has no row is left out
     */
    public function eachFold(): \Generator
    {
        $cells = $this->inOrder();
        $all = \count($this->difficulties);
        $at = 0;
        foreach ($this->groups as $key => $group) {
            $folds = [];
            for ($left = \ord($cells[$at++]); $left > 0; --$left) {
                $cell = \ord($cells[$at++]);
                $folds[$cell % PositionObservations::FOLDS][intdiv($cell, PositionObservations::FOLDS)] = self::read($cells, $at);
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

    /** @return string the cells of the groups, by authority, difficulty and ground */
    private function inOrder(): string
    {
        if ($this->cells !== null) {
            return $this->cells;
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
        $this->groups = $groups;
        $this->cells = '';
        foreach ($groups as $group) {
            $this->cells .= $this->cellsOf($group);
        }
        $this->counts = '';

        return $this->cells;
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

    /** The cells of a group that have rows, with their number before them. */
    private function cellsOf(int $group): string
    {
        $from = self::BYTES * self::CELLS * $group;
        $end = $from + self::BYTES * self::CELLS;
        $number = 0;
        $cells = '';
        for ($at = $from; ($at += strspn($this->counts, "\0", $at, $end - $at)) < $end; $at = $from + self::BYTES * ($cell + 1)) {
            $cell = intdiv($at - $from, self::BYTES);
            $bytes = substr($this->counts, $from + self::BYTES * $cell, self::BYTES);
            $isSmall = substr($bytes, 1) === "\0\0\0" && $bytes[0] !== self::LARGE;
            $cells .= \chr($cell).($isSmall ? $bytes[0] : self::LARGE.$bytes);
            ++$number;
        }

        return \chr($number).$cells;
    }

    /** The rows that begin at this place, which moves on behind them. */
    private static function read(string $cells, int &$at): int
    {
        $rows = $cells[$at++];
        if ($rows !== self::LARGE) {
            return \ord($rows);
        }
        /** @var array{1: int} $whole */
        $whole = unpack(self::FORMAT, $cells, $at);
        $at += self::BYTES;

        return $whole[1];
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
