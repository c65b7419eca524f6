<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Comparison\Freshness;
use GreaterReach\Core\Plan\ItemStatus;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ItemStatusTest extends TestCase
{
    /** @return iterable<array{string, ?string, ?string, bool}> */
    public static function items(): iterable
    {
        yield ['planned', null, null, false];
        yield ['planned', '2026-11-25', '2026-11', false];
        yield ['planned', '2026-11-24', '2026-12', true];
        yield ['writing', null, '2026-10', true];
        yield ['published', '2026-11-24', '2026-10', false];
        yield ['done', '2026-11-24', '2026-10', false];
        yield ['dropped', '2026-11-24', '2026-10', false];
    }

    #[DataProvider('items')]
    public function test_what_is_overdue(string $status, ?string $due, ?string $month, bool $isOverdue): void
    {
        self::assertSame($isOverdue, ItemStatus::from($status)->isOverdue($due, $month, '2026-11-25'));
    }

    public function test_work_that_ends_after_its_season_asks_for_it_is_late_until_it_is_done(): void
    {
        $late = static fn(ItemStatus $status, ?string $ends, ?string $publishBy): bool => $status->isLate($ends, $publishBy);
        self::assertTrue($late(ItemStatus::Planned, '2027-02', '2027-01'));
        self::assertFalse($late(ItemStatus::Planned, '2027-01', '2027-01'));
        self::assertFalse($late(ItemStatus::Done, '2027-02', '2027-01'));
        self::assertFalse($late(ItemStatus::Planned, null, '2027-01'));
        self::assertFalse($late(ItemStatus::Planned, '2027-02', null));
    }

    public function test_which_status_counts_for_what(): void
    {
        $values = static fn(\Closure $is): array => array_column(array_filter(ItemStatus::cases(), $is), 'value');
        self::assertSame(['planned', 'writing', 'published', 'done'], $values(static fn(ItemStatus $status): bool => $status->isAlive()));
        self::assertSame(['planned', 'writing', 'published'], $values(static fn(ItemStatus $status): bool => $status->isOpen()));
        self::assertSame(['planned', 'writing'], $values(static fn(ItemStatus $status): bool => $status->isUnpublished()));
    }

    public function test_a_list_is_stale_after_a_month_and_a_little(): void
    {
        self::assertFalse(Freshness::isStale('2026-10-21', '2026-11-25'));
        self::assertTrue(Freshness::isStale('2026-10-20', '2026-11-25'));
        for ($day = new \DateTimeImmutable('1999-12-01'); $day->format('Y') < '2005'; $day = $day->modify('+1 day')) {
            $today = $day->modify('+35 days');
            self::assertFalse(Freshness::isStale($day->format('Y-m-d'), $today->format('Y-m-d')));
            self::assertTrue(Freshness::isStale($day->format('Y-m-d'), $today->modify('+1 day')->format('Y-m-d')));
        }
    }
}
