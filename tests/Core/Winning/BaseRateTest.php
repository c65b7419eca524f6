<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Winning\BaseRate;
use PHPUnit\Framework\TestCase;

final class BaseRateTest extends TestCase
{
    public function test_it_counts_keywords_of_the_same_class_that_are_at_the_target_now(): void
    {
        $moved = static fn(?int $then, ?int $now, int $keywords): array => ['then' => $then, 'now' => $now, 'keywords' => $keywords];
        $rate = new BaseRate(
            [[$moved(11, 3, 2), $moved(20, 4, 5), $moved(10, 1, 9)], [$moved(15, null, 13), $moved(null, 3, 1)]],
            '2026-08-01',
        );
        $fact = $rate->of(12, 3, .2);
        self::assertSame(
            'Of 20 keywords of all domains at 11–20 on 1 Aug 2026, 10% are at 3 or better now (ours: 2 of 7).',
            $fact?->sentence,
        );
        self::assertFalse($fact->isEncouraging, 'The history is below the chance.');
        self::assertTrue($rate->of(12, 3, .1)?->isEncouraging);
        self::assertSame(
            'Of 1 keyword of all domains not ranking on 1 Aug 2026, 100% is at 3 or better now (ours: 0 of 0).',
            $rate->of(null, 3, null)?->sentence,
        );
        self::assertNull($rate->of(1, 1, null), 'Nobody was first.');
        self::assertNull((new BaseRate([], null))->of(5, 3, .5));
    }

    public function test_it_looks_three_snapshots_back_and_at_least_sixty_days(): void
    {
        $months = ['2026-11-01', '2026-10-01', '2026-09-01', '2026-08-01', '2026-07-01'];
        self::assertSame('2026-08-01', BaseRate::dayThen($months));
        self::assertSame('2026-09-01', BaseRate::dayThen(array_slice($months, 0, 3)));
        self::assertNull(BaseRate::dayThen(array_slice($months, 0, 2)), 'A month is too short.');
        self::assertSame('2026-09-02', BaseRate::dayThen(['2026-11-01', '2026-09-02']), 'Sixty days.');
        self::assertNull(BaseRate::dayThen(['2026-11-01', '2026-09-03']));
        self::assertNull(BaseRate::dayThen(['2026-11-01']));
        self::assertNull(BaseRate::dayThen([]));
    }
}
