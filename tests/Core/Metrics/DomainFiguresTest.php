<?php

declare(strict_types=1);

namespace Tests\Core\Metrics;

use GreaterReach\Core\Metrics\DomainFigures;
use PHPUnit\Framework\TestCase;

final class DomainFiguresTest extends TestCase
{
    public function test_each_figure_comes_from_the_first_source_that_knows_it(): void
    {
        $chosen = DomainFigures::resolve([new DomainFigures(null, 400), new DomainFigures(47.5, 380, 9), new DomainFigures(53)]);
        self::assertEquals(new DomainFigures(47.5, 400, 9), $chosen);
    }

    public function test_a_nought_is_known(): void
    {
        self::assertSame(0.0, DomainFigures::resolve([new DomainFigures(0.0), new DomainFigures(5.0)])->authority);
    }

    public function test_without_sources_nothing_is_known(): void
    {
        self::assertEquals(new DomainFigures(), DomainFigures::resolve([]));
    }
}
