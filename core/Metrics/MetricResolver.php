<?php

declare(strict_types=1);

namespace GreaterReach\Core\Metrics;

/**
 * Chooses one value per metric from several sources. The sources come best first: by the rulebook's order of sources,
 * then the newest date, then our domain's file before the competitors' as listed. A known value beats an unknown one.
 */
final class MetricResolver
{
    /**
     * @param array<int, Metrics>            $sources source id → what it says, best first
     * @param array<string, array<int, int>> $ranks   group of metrics (`volume`, `difficulty`, `cpc`) → source id → rank, where that group has an order of its own
     */
    public static function resolve(array $sources, array $ranks = []): Metrics
    {
        $byVolume = self::inOrder($sources, $ranks['volume'] ?? null);
        $byCpc = self::inOrder($sources, $ranks['cpc'] ?? null);
        $volume = self::first($byVolume, static fn(Metrics $source): ?int => $source->volume);
        $monthly = self::first($byVolume, static fn(Metrics $source): ?array => $source->hasWholeYear() ? $source->monthly : null);
        $derived = $volume === null && $monthly !== null;

        return new Metrics(
            $derived ? self::meanVolume($monthly) : $volume,
            self::first(self::inOrder($sources, $ranks['difficulty'] ?? null), static fn(Metrics $source): ?float => $source->difficulty),
            self::first($byCpc, static fn(Metrics $source): ?float => $source->cpc),
            self::first($byCpc, static fn(Metrics $source): ?float => $source->advertiserCompetition),
            $monthly,
            $derived,
        );
    }

    /**
     * @param array<int, Metrics>  $sources
     * @param ?array<int, int> $ranks
     *
     * @return array<int, Metrics>
     */
    private static function inOrder(array $sources, ?array $ranks): array
    {
        if ($ranks !== null) {
            uksort($sources, static fn(int $one, int $other): int => $ranks[$one] <=> $ranks[$other]);
        }

        return $sources;
    }

    /**
     * @template T
     *
     * @param array<int, Metrics>   $sources
     * @param \Closure(Metrics): ?T $metric
     *
     * @return ?T the first that is known
     */
    private static function first(array $sources, \Closure $metric): mixed
    {
        foreach ($sources as $source) {
            $value = $metric($source);
            if ($value !== null) {
                return $value;
            }
        }

        return null;
    }

    /**
     * The mean of the monthly volumes, rounded half up; in whole numbers, so that no float can tip a half.
     *
     * @param list<?int> $monthly
     */
    private static function meanVolume(array $monthly): int
    {
        return intdiv(2 * (int) array_sum($monthly) + Metrics::MONTHS, 2 * Metrics::MONTHS);
    }
}
