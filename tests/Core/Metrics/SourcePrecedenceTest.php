<?php

declare(strict_types=1);

namespace Tests\Core\Metrics;

use GreaterReach\Core\Metrics\MetricSource;
use GreaterReach\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;

final class SourcePrecedenceTest extends TestCase
{
    /** @return list<MetricSource> */
    private static function sources(): array
    {
        return [
            new MetricSource(1, 'rankings', '2026-11-01', 0),
            new MetricSource(2, 'keywords', '2020-01-01'),
            new MetricSource(3, 'rankings', '2026-11-01', 1),
        ];
    }

    public function test_lists_come_before_rankings_files_by_default(): void
    {
        $precedence = Rulebook::standard()->precedence();
        self::assertSame([2 => 0, 1 => 1, 3 => 2], $precedence->rank(self::sources()));
        self::assertSame([], $precedence->ownRanks(self::sources()), 'No group has an order of its own.');
    }

    public function test_a_group_may_have_an_order_of_its_own_and_leaves_the_others(): void
    {
        $precedence = Rulebook::standard()->with(['cpc_sources' => 'rankings,keywords'])->precedence();
        self::assertSame(['cpc' => [1 => 0, 3 => 1, 2 => 2]], $precedence->ownRanks(self::sources()));
        self::assertSame([2 => 0, 1 => 1, 3 => 2], $precedence->rank(self::sources()));
    }

    public function test_a_kind_that_is_not_named_comes_last(): void
    {
        $precedence = Rulebook::standard()->with(['metric_sources' => 'rankings'])->precedence();
        self::assertSame([1, 3, 2], array_keys($precedence->rank(self::sources())));
    }
}
