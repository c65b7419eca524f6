<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Plan\ClicksAround;
use GreaterReach\Core\Plan\Month;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClicksAroundTest extends TestCase
{
    /** @return iterable<string, array{array<string, int>, ?int, ?int}> day → clicks, before, since; done in January 2027 */
    public static function measurements(): iterable
    {
        yield 'nothing measured' => [[], null, null];
        yield 'only before' => [['2026-10-31' => 4, '2026-12-31' => 7], 7, null];
        yield 'only since' => [['2027-01-15' => 9, '2027-03-31' => 30], null, 30];
        yield 'both, over the turn of the year' => [['2026-11-30' => 3, '2026-12-01' => 5, '2027-01-31' => 6, '2027-02-28' => 11], 5, 11];
        yield 'the month of the work counts as since' => [['2026-12-31' => 5, '2027-01-01' => 6], 5, 6];
        yield 'no click is a figure' => [['2026-12-31' => 0, '2027-02-28' => 0], 0, 0];
    }

    /** @param array<string, int> $measured */
    #[DataProvider('measurements')]
    public function test_the_nearest_before_and_the_newest_since(array $measured, ?int $before, ?int $since): void
    {
        $months = array_map(
            static fn(string $day, int $clicks): array => ['day' => $day, 'clicks' => $clicks],
            array_keys($measured),
            array_values($measured),
        );
        $around = ClicksAround::of($months, Month::parse('2027-01'));
        self::assertSame([$before, $since], [$around->before, $around->since]);
    }
}
