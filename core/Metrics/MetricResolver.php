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
     * @param array<string, array<int, int>> $ranks   group of metrics (`volume`, `difficulty`, `cpc`) → source id → rank, where that
     *     group has an order of its own
     */
    public static function resolve(array $sources, array $ranks = []): Metrics
    {
        $byVolume = self::inOrder($sources, $ranks['volume'] ?? null);
        $byCpc = self::inOrder($sources, $ranks['cpc'] ?? null);
        /** @var ?int $volume */
        $volume = self::firstKnown($byVolume, 'volume');
        $monthly = self::firstWholeYear($byVolume);
        $derived = $volume === null && $monthly !== null;

        return new Metrics(
            $derived ? self::meanVolume($monthly) : $volume,
            self::firstKnown(self::inOrder($sources, $ranks['difficulty'] ?? null), 'difficulty'),
            self::firstKnown($byCpc, 'cpc'),
            self::firstKnown($byCpc, 'advertiserCompetition'),
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
     * @param array<int, Metrics>                                   $sources
     * @param 'volume'|'difficulty'|'cpc'|'advertiserCompetition' $metric
     */
    private static function firstKnown(array $sources, string $metric): int|float|null
    {
        foreach ($sources as $source) {
            if ($source->{$metric} !== null) {
                return $source->{$metric};
            }
        }

        return null;
    }

    /**
     * @param array<int, Metrics> $sources
     *
     * @return ?list<?int>
     */
    private static function firstWholeYear(array $sources): ?array
    {
        foreach ($sources as $source) {
            if ($source->monthly !== null && $source->hasWholeYear()) {
                return $source->monthly;
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
