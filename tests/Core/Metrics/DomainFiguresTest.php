<?php

declare(strict_types=1);

namespace Tests\Core\Metrics;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Metrics\DomainFigures;
use GreaterReach\Core\Metrics\Metrics;
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

    public function test_figures_lie_within_their_bounds(): void
    {
        self::assertSame([0.0, 0, 0], array_values((array) new DomainFigures(0.0, 0, 0)));
        self::assertSame(100.0, (new DomainFigures(100.0))->authority);
        self::assertSame([0, 100.0, 0.0, 0.0], \array_slice(array_values((array) new Metrics(0, 100.0, 0.0, 0.0)), 0, 4));
        $wrong = [
            static fn(): DomainFigures => new DomainFigures(-.1),
            static fn(): DomainFigures => new DomainFigures(100.1),
            static fn(): DomainFigures => new DomainFigures(null, -1),
            static fn(): DomainFigures => new DomainFigures(null, null, -1),
            static fn(): Metrics => new Metrics(-1),
            static fn(): Metrics => new Metrics(null, -.1),
            static fn(): Metrics => new Metrics(null, 100.1),
            static fn(): Metrics => new Metrics(null, null, -.1),
            static fn(): Metrics => new Metrics(null, null, null, -.1),
        ];
        foreach ($wrong as $number => $make) {
            try {
                $make();
                self::fail("The {$number}. was taken.");
            } catch (InvalidArgument $misuse) {
                self::assertStringContainsString('less than 0', $misuse->getMessage());
            }
        }
    }
}
