<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Metrics\Metrics;

/** How the volume of a keyword is spread over the year: index(m) = volume in month m ÷ the mean of the twelve. */
final readonly class Season
{
    /** From this largest index on a keyword is seasonal. */
    public const SEASONAL_FROM = 1.5;

    /** @param list<float> $indices January first */
    private function __construct(private array $indices)
    {
    }

    /** An even year: what is assumed where the monthly volumes are not all known, or are all zero. */
    public static function steady(): self
    {
        return new self(array_fill(0, Metrics::MONTHS, 1.0));
    }

    public static function of(Metrics $metrics): self
    {
        $monthly = $metrics->monthly;
        if ($monthly === null || ! $metrics->hasWholeYear() || array_sum($monthly) === 0) {
            return self::steady();
        }
        $mean = array_sum($monthly) / Metrics::MONTHS;

        return new self(array_map(static fn(?int $volume): float => (int) $volume / $mean, $monthly));
    }

    /**
     * Of several keywords together: their monthly volumes are summed, of those of which all twelve are known.
     *
     * @param iterable<Metrics> $all
     */
    public static function together(iterable $all): self
    {
        $sums = null;
        foreach ($all as $metrics) {
            if ($metrics->monthly !== null && $metrics->hasWholeYear()) {
                $sums ??= array_fill(0, Metrics::MONTHS, 0);
                foreach ($metrics->monthly as $month => $volume) {
                    $sums[$month] += (int) $volume;
                }
            }
        }

        return $sums === null ? self::steady() : self::of(new Metrics(monthly: array_values($sums)));
    }

    /** @param list<int|float> $indices January first, as indices() gave them */
    public static function ofIndices(array $indices): self
    {
        InvalidArgument::unless(\count($indices) === Metrics::MONTHS, 'A year has an index for each of its months.');

        return new self(array_map(floatval(...), $indices));
    }

    /** @return list<float> January first */
    public function indices(): array
    {
        return $this->indices;
    }

    /** @param int $month 1…12 */
    public function index(int $month): float
    {
        return $this->indices[$month - 1];
    }

    public function isSeasonal(): bool
    {
        return $this->largest() >= self::SEASONAL_FROM;
    }

    public function kind(): SeasonKind
    {
        return $this->isSeasonal() ? SeasonKind::Seasonal : SeasonKind::Steady;
    }

    /** The month of the year with the largest volume, the first of several; null when steady. */
    public function peak(): ?int
    {
        return $this->isSeasonal() ? (int) array_search($this->largest(), $this->indices, true) + 1 : null;
    }

    private function largest(): float
    {
        return max([0.0, ...$this->indices]);
    }

    /** The month by which to publish for the first peak that can still be reached: peak − ramp, not before the earliest month. */
    public function publishBy(Month $earliest, int $ramp): ?Month
    {
        $peak = $this->peak();
        if ($peak === null) {
            return null;
        }
        $reachable = $earliest->plus($ramp);
        $wait = ($peak - $reachable->ofYear() + Metrics::MONTHS) % Metrics::MONTHS;

        return $reachable->plus($wait - $ramp);
    }
}
