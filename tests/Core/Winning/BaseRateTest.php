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
            '1 Aug 2026',
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
}
