<?php

declare(strict_types=1);

namespace GreaterReach\Core\Statistics;

/** Mean and population standard deviation of values that occur many times, taken about the first of them. */
final class Scale
{
    private ?float $first = null;
    private int $rows = 0;
    private float $sum = 0.0;
    private float $squares = 0.0;
    private float $lowest = 0.0;
    private float $highest = 0.0;

    /** @param int $rows how often it occurs */
    public function add(float $value, int $rows): void
    {
        $this->first ??= $value;
        $distance = $value - $this->first;
        $this->lowest = min($this->lowest, $distance);
        $this->highest = max($this->highest, $distance);
        $this->rows += $rows;
        $this->sum += $rows * $distance;
        $this->squares += $rows * $distance ** 2;
    }

    public function varies(): bool
    {
        return $this->lowest < 0.0 || $this->highest > 0.0;
    }

    public function mean(): float
    {
        return (float) $this->first + $this->sum / max(1, $this->rows);
    }

    public function deviation(): float
    {
        $rows = max(1, $this->rows);

        return sqrt(max(0.0, $this->squares / $rows - ($this->sum / $rows) ** 2));
    }

    /** @return array{float, float} the least and the most */
    public function range(): array
    {
        return [(float) $this->first + $this->lowest, (float) $this->first + $this->highest];
    }
}
