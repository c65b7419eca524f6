<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Winning\PlaceChances;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlaceGainsTest extends TestCase
{
    /** The rule word by word: the smallest place whose chances up to it, given where we stand, come to the number drawn. */
    #[DataProvider('seeds')]
    public function test_a_draw_gives_every_keyword_its_place(int $seed): void
    {
        mt_srand($seed);
        $curve = CtrCurve::default();
        $keywords = [];
        for ($number = mt_rand(0, 5); $number > 0; --$number) {
            $upTo = array_map(static fn(): float => mt_rand(0, 1000) / 1000, range(1, 7));
            sort($upTo);
            $keywords[] = [new PlaceChances($upTo), mt_rand(0, 2) === 0 ? null : mt_rand(1, 100), (float) mt_rand(0, 900)];
        }
        $gains = PlaceGains::of($keywords, $curve);
        $sum = 0.0;
        for ($draw = 1; $draw <= 2000; ++$draw) {
            $u = ($draw - .5) / 2000;
            $expected = 0.0;
            foreach ($keywords as [$chances, $position, $searches]) {
                $expected += $searches * self::gained($chances, $position, $u, $curve);
            }
            self::assertEqualsWithDelta($expected, $gains->at($u), 1e-6 * max(1, $expected), "u = {$u}");
            $sum += $expected;
        }
        self::assertEqualsWithDelta($sum / 2000, $gains->mean(), max(.5, .02 * $sum / 2000));
    }

    public function test_all_or_nothing_is_one_step_or_none(): void
    {
        self::assertSame(['ends' => [.5], 'gains' => [8.0]], PlaceGains::allOrNothing(8.0, .5)->toArray());
        self::assertSame(['ends' => [1.0], 'gains' => [8.0]], PlaceGains::allOrNothing(8.0, 1.2)->toArray());
        $none = ['ends' => [], 'gains' => []];
        self::assertSame([$none, $none], [PlaceGains::allOrNothing(8.0, 0.0)->toArray(), PlaceGains::allOrNothing(0.0, .5)->toArray()]);
        self::assertSame([8.0, 8.0, 0.0], array_map(PlaceGains::allOrNothing(8.0, .5)->at(...), [.1, .5, .51]));
    }

    public function test_where_nothing_is_to_be_gained_nothing_is(): void
    {
        $impossible = new PlaceChances([0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0]);
        $sure = new PlaceChances([1.0, 1.0, 1.0, 1.0, 1.0, 1.0, 1.0]);
        $gains = PlaceGains::of([[$impossible, 12, 100.0], [$impossible, null, 100.0], [$sure, 1, 100.0]], CtrCurve::default());
        self::assertSame([0.0, 0.0, 0.0], [$gains->at(.001), $gains->at(1.0), $gains->mean()]);
        self::assertSame(0.0, PlaceGains::allOrNothing(0.0, .5)->mean());
        $all = PlaceGains::allOrNothing(40.0, .25);
        self::assertSame([40.0, 0.0, 10.0], [$all->at(.25), $all->at(.251), $all->mean()]);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 20) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    private static function gained(PlaceChances $chances, ?int $position, float $u, CtrCurve $curve): float
    {
        $whole = $position === null ? 1.0 : $chances->upTo($position);
        if ($whole <= 0.0) {
            return 0.0;
        }
        for ($place = 1; $place <= ($position ?? 100); ++$place) {
            if (round($chances->upTo($place) / $whole, 12) >= $u) {
                return $curve->at($place) - ($position === null ? 0.0 : $curve->at($position));
            }
        }

        return 0.0;
    }
}
