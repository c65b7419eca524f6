<?php

declare(strict_types=1);

namespace Tests\Core\Metrics;

use GreaterReach\Core\Metrics\MetricResolver;
use GreaterReach\Core\Metrics\Metrics;
use PHPUnit\Framework\TestCase;

final class MetricResolverTest extends TestCase
{
    public function test_the_first_known_value_of_each_metric_counts(): void
    {
        $chosen = MetricResolver::resolve([new Metrics(null, 30.0), new Metrics(500, 40.0, 1.5), new Metrics(900, null, 2.5, .4)]);
        self::assertEquals(new Metrics(500, 30.0, 1.5, .4), $chosen);
    }

    public function test_an_unknown_volume_is_derived_from_a_whole_year_alone(): void
    {
        $year = array_fill(0, 12, 10);
        $year[11] = 16;
        self::assertEquals(
            new Metrics(11, monthly: $year, volumeIsDerived: true),
            MetricResolver::resolve([new Metrics(monthly: [...array_slice($year, 1), null]), new Metrics(monthly: $year)]),
            'A mean of 10.5 is rounded half up.',
        );
        self::assertFalse(MetricResolver::resolve([new Metrics(monthly: $year), new Metrics(7)])->volumeIsDerived);
    }

    public function test_no_source_knows_nothing(): void
    {
        self::assertEquals(Metrics::unknown(), MetricResolver::resolve([]));
    }
}
