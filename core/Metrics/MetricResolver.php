<?php

declare(strict_types=1);

namespace GreaterReach\Core\Metrics;

/**
 * Chooses one value per metric from several sources. The sources come best first: by the rulebook's order of sources,
 * then the newest date, then our domain's file before the competitors' as listed. A known value beats an unknown one.
 */
final class MetricResolver
{
    /** @param iterable<Metrics> $sources best first */
    public static function resolve(iterable $sources): Metrics
    {
        $volume = $difficulty = $cpc = $competition = $monthly = null;
        foreach ($sources as $source) {
            $volume ??= $source->volume;
            $difficulty ??= $source->difficulty;
            $cpc ??= $source->cpc;
            $competition ??= $source->advertiserCompetition;
            $monthly ??= $source->hasWholeYear() ? $source->monthly : null;
        }
        $derived = $volume === null && $monthly !== null;

        return new Metrics($derived ? self::meanVolume($monthly) : $volume, $difficulty, $cpc, $competition, $monthly, $derived);
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
