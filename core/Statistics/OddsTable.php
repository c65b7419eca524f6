<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

/**
 * Grouped rows of ordered classes in flat lists, as the regression goes through them again and again: some hundred bytes a group. Each
 * threshold between two classes sees a group as so many rows of the two, of which so many lie below it; where there are none there is no
 * entry.
 */
final class OddsTable
{
    private const COUNT_BITS = 28;
    public const COUNT_MASK = (1 << self::COUNT_BITS) - 1;
    public const AT_BITS = 7;
    public const AT_MASK = (1 << self::AT_BITS) - 1;
    public const BELOW_SHIFT = self::AT_BITS;
    public const ROWS_SHIFT = self::AT_BITS + self::COUNT_BITS;

    /** @var list<float> the features of every group, one group after the other */
    public array $values = [];

    /** @var list<int> rows, rows below and number of the threshold in one number each, group by group */
    public array $entries = [];

    /** @var list<int> where the entries of a group end */
    public array $ends = [];

    /** @var array<int, int> rows by class */
    public array $totals;

    /**
     * @param int $features how many each group has
     * @param int $classes  2…128
     */
    public function __construct(public int $features, private readonly int $classes)
    {
        $this->totals = array_fill(0, $classes, 0);
    }

    /**
     * @param list<float> $x      features of the group
     * @param list<int>   $counts its rows by class
     */
    public function add(array $x, array $counts): void
    {
        foreach ($x as $value) {
            $this->values[] = $value;
        }
        $below = $counts[0];
        $this->totals[0] += $below;
        for ($at = 0; $at < $this->classes - 1; ++$at) {
            $above = $counts[$at + 1];
            $this->totals[$at + 1] += $above;
            if ($below + $above > 0) {
                $this->entries[] = $below + $above << self::ROWS_SHIFT | $below << self::BELOW_SHIFT | $at;
            }
            $below = $above;
        }
        $this->ends[] = \count($this->entries);
    }

    /**
     * Some of the features, each less a mean and divided by a deviation.
     *
     * @param array<int, array{mean: float, sd: float}> $scales feature → scale
     */
    public function standardised(array $scales): self
    {
        $table = clone $this;
        $table->features = \count($scales);
        $table->values = [];
        for ($from = 0, $end = \count($this->values); $from < $end; $from += $this->features) {
            foreach ($scales as $feature => $scale) {
                $table->values[] = ($this->values[$from + $feature] - $scale['mean']) / $scale['sd'];
            }
        }

        return $table;
    }
}
