<?php

declare(strict_types=1);

namespace GreaterReach\Core\Metrics;

/**
 * Which source is asked first: its kind by the rulebook's order, then the newest day, then our domain's file before the
 * competitors' as listed. What is left undecided goes by channel, then to the one imported last.
 */
final class SourceRanking
{
    /**
     * @param list<MetricSource> $sources
     * @param list<string> $kinds   best first; a kind that is not named comes last
     *
     * @return array<int, int> source id → rank, the best 0
     */
    public static function rank(array $sources, array $kinds): array
    {
        $ranks = array_flip($kinds);
        usort(
            $sources,
            static fn(MetricSource $one, MetricSource $other): int => ($ranks[$one->kind] ?? PHP_INT_MAX) <=>
            ($ranks[$other->kind] ?? PHP_INT_MAX) ?:
            $other->day <=> $one->day ?:
            ($one->place ?? PHP_INT_MAX) <=> ($other->place ?? PHP_INT_MAX) ?:
            $one->channel <=> $other->channel ?:
            $other->id <=> $one->id,
        );

        return array_flip(array_map(static fn(MetricSource $source): int => $source->id, $sources));
    }
}
