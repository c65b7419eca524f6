<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Plan\AutoPlan;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\PlanWorkload;
use GreaterReach\Core\Plan\WorkItem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlanWorkloadTest extends TestCase
{
    /** @param array<int, array{string, float}> $items number → month, days */
    private static function workload(array $items, float $capacity): PlanWorkload
    {
        return PlanWorkload::of(
            array_map(static fn(array $item): array => ['begins' => Month::parse($item[0]), 'days' => $item[1]], $items),
            $capacity,
        );
    }

    public function test_what_fits_a_month_lies_in_its_own_even_where_that_is_too_full(): void
    {
        $work = self::workload([1 => ['2026-11', 6], 2 => ['2026-11', 7]], 10);
        self::assertSame(['2026-11' => 13.0], $work->loads());
        self::assertSame('2026-11', (string) $work->endOf(2));
    }

    public function test_what_is_larger_takes_what_the_others_leave(): void
    {
        $work = self::workload([1 => ['2026-11', 25], 2 => ['2026-12', 4], 3 => ['2026-11', 3]], 10);
        self::assertSame(['2026-11' => 7.0, '2026-12' => 6.0, '2027-01' => 10.0, '2027-02' => 2.0], $work->partsOf(1));
        self::assertSame(['2026-11' => 10.0, '2026-12' => 10.0, '2027-01' => 10.0, '2027-02' => 2.0], $work->loads());
        self::assertSame('2027-02', (string) $work->endOf(1));
    }

    public function test_of_two_large_ones_the_earlier_goes_first(): void
    {
        $work = self::workload([1 => ['2026-12', 12], 2 => ['2026-11', 15]], 10);
        self::assertSame(['2026-11' => 10.0, '2026-12' => 5.0], $work->partsOf(2));
        self::assertSame(['2026-12' => 5.0, '2027-01' => 7.0], $work->partsOf(1));
    }

    public function test_a_full_month_is_passed_over_and_still_begins_the_work(): void
    {
        self::assertSame(
            ['2026-11' => 0.0, '2026-12' => 10.0, '2027-01' => 2.0],
            self::workload([1 => ['2026-11', 12], 2 => ['2026-11', 10]], 10)->partsOf(1),
        );
    }

    public function test_without_capacity_everything_lies_in_its_own_month(): void
    {
        self::assertSame(['2026-11' => 12.0], self::workload([1 => ['2026-11', 12.0]], 0)->partsOf(1));
    }

    public function test_what_is_not_planned_has_no_end(): void
    {
        self::assertNull(self::workload([], 10)->endOf(1));
        self::assertSame([], self::workload([], 10)->partsOf(1));
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 20) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    /** What the auto-plan lays out is never too full, loses no day, and ends where the auto-plan says. */
    #[DataProvider('seeds')]
    public function test_it_agrees_with_the_auto_plan(int $seed): void
    {
        mt_srand($seed);
        $items = array_map(
            static fn(int $number): WorkItem => new WorkItem('keyword '.$number, mt_rand(1, 16) / 2, (float) mt_rand(1, 900)),
            range(1, 12),
        );
        $items[] = new WorkItem('large', 13, 5000, true);
        $placements = (new AutoPlan(6, 5))->place($items);
        $start = Month::parse('2026-11');
        $work = PlanWorkload::of(
            array_map(
                static fn($placement): array => ['begins' => $start->plus($placement->begins), 'days' => $placement->item->effort],
                $placements,
            ),
            5,
        );
        self::assertSame([], array_filter($work->loads(), static fn(float $days): bool => $days > 5.0));
        foreach ($placements as $number => $placement) {
            self::assertEqualsWithDelta($placement->item->effort, array_sum($work->partsOf($number)), 1e-9);
        }
        $large = array_search('large', array_map(static fn($placement): string => $placement->item->name, $placements), true);
        self::assertIsInt($large);
        self::assertSame((string) $start->plus($placements[$large]->ends), (string) $work->endOf($large));
    }
}
