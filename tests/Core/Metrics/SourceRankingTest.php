<?php

declare(strict_types=1);

namespace Tests\Core\Metrics;

use GreaterReach\Core\Metrics\MetricResolver;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Metrics\MetricSource;
use GreaterReach\Core\Metrics\SourceRanking;
use PHPUnit\Framework\TestCase;

final class SourceRankingTest extends TestCase
{
    public function test_kind_beats_day_and_day_beats_domain(): void
    {
        $sources = [
            new MetricSource(1, 'rankings', '2026-11-01', 0, 'organic'),
            new MetricSource(2, 'rankings', '2026-11-01', 2, 'organic'),
            new MetricSource(3, 'rankings', '2026-12-01', 1, 'organic'),
            new MetricSource(4, 'keywords', '2026-01-01'),
            new MetricSource(5, 'keywords', '2026-02-01'),
        ];
        self::assertSame([5, 4, 3, 1, 2], array_keys(SourceRanking::rank($sources, ['keywords', 'rankings'])));
        self::assertSame([3, 1, 2, 5, 4], array_keys(SourceRanking::rank($sources, ['rankings', 'keywords'])));
    }

    public function test_the_rest_is_decided_by_channel_and_then_by_what_came_last(): void
    {
        $sources = [
            new MetricSource(1, 'keywords', '2026-01-01'),
            new MetricSource(2, 'keywords', '2026-01-01'),
            new MetricSource(3, 'rankings', '2026-01-01', 0, 'paid'),
            new MetricSource(4, 'rankings', '2026-01-01', 0, 'organic'),
            new MetricSource(5, 'other', '2027-01-01'),
        ];
        self::assertSame([2, 1, 4, 3, 5], array_keys(SourceRanking::rank($sources, ['keywords', 'rankings'])));
        self::assertSame(
            SourceRanking::rank($sources, ['keywords', 'rankings']),
            SourceRanking::rank(array_reverse($sources), ['keywords', 'rankings']),
        );
    }

    public function test_each_group_of_metrics_may_have_an_order_of_its_own(): void
    {
        $sources = [1 => new Metrics(100, 10.0, 1.0), 2 => new Metrics(200, 20.0, 2.0), 3 => new Metrics(300, 30.0, 3.0)];
        $told = static fn(array $ranks): array => \array_slice(array_values((array) MetricResolver::resolve($sources, $ranks)), 0, 3);
        self::assertSame([100, 10.0, 1.0], $told([]));
        self::assertSame([300, 10.0, 1.0], $told(['volume' => [3 => 0, 1 => 1, 2 => 2]]));
        self::assertSame([100, 20.0, 1.0], $told(['difficulty' => [2 => 0, 1 => 1, 3 => 2]]));
        self::assertSame([100, 10.0, 3.0], $told(['cpc' => [3 => 0, 2 => 1, 1 => 2]]));
    }
}
