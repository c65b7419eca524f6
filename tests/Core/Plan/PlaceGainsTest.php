<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\WorkedKeyword;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlaceChances;
use GreaterReach\Core\Winning\Shifts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlaceGainsTest extends TestCase
{
    private const MOVING_SHARE = .35;

    /** The rule word by word: the smallest place t with G(t) at least the number drawn, G written out here a second time. */
    #[DataProvider('seeds')]
    public function test_a_draw_gives_every_keyword_its_place(int $seed): void
    {
        mt_srand($seed);
        $kind = PageKind::cases()[$seed % 2];
        $shifts = new Shifts(mt_rand(-20, 20) / 10, mt_rand(-20, 20) / 10);
        $curve = CtrCurve::default();
        $keywords = [];
        for ($number = mt_rand(0, 5); $number > 0; --$number) {
            $upTo = array_map(static fn(): float => mt_rand(1, 999) / 1000, range(1, 7));
            sort($upTo);
            $keywords[] = new WorkedKeyword(
                $kind,
                new PlaceChances($upTo),
                mt_rand(0, 2) === 0 ? null : mt_rand(1, 100),
                (float) mt_rand(0, 900),
            );
        }
        $gains = PlaceGains::of($keywords, $curve, self::MOVING_SHARE);
        $sum = 0.0;
        for ($draw = 1; $draw <= 2000; ++$draw) {
            $u = ($draw - .5) / 2000;
            $expected = 0.0;
            foreach ($keywords as $keyword) {
                $expected += $keyword->searches * self::gained($keyword, $u, $shifts, $curve);
            }
            self::assertEqualsWithDelta($expected, $gains->at($u, $shifts), 1e-6 * max(1, $expected), "u = {$u}");
            $sum += $expected;
        }
        self::assertEqualsWithDelta($sum / 2000, $gains->mean($shifts), max(.5, .02 * $sum / 2000));
    }

    public function test_a_title_test_wins_all_or_nothing_whatever_work_brings(): void
    {
        $title = PlaceGains::title(40.0, .25);
        $shifts = new Shifts(2.0, -2.0);
        self::assertSame([40.0, 0.0, 10.0], [$title->at(.25, $shifts), $title->at(.251, $shifts), $title->mean($shifts)]);
        self::assertSame(0.0, PlaceGains::title(0.0, .5)->mean($shifts));
    }

    public function test_where_nothing_is_to_be_gained_nothing_is(): void
    {
        $impossible = new PlaceChances([0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0]);
        $sure = new PlaceChances([1.0, 1.0, 1.0, 1.0, 1.0, 1.0, 1.0]);
        $shifts = new Shifts(0.0, 0.0);
        foreach (PageKind::cases() as $kind) {
            $gains = PlaceGains::of([
                new WorkedKeyword($kind, $impossible, 12, 100.0),
                new WorkedKeyword($kind, $impossible, null, 100.0),
                new WorkedKeyword($kind, $sure, 1, 100.0),
            ], CtrCurve::default(), self::MOVING_SHARE);
            self::assertSame([0.0, 0.0, 0.0], [$gains->at(.001, $shifts), $gains->at(1.0, $shifts), $gains->mean($shifts)]);
        }
    }

    public function test_what_differs_has_another_fingerprint(): void
    {
        $chances = new PlaceChances([.1, .2, .3, .4, .5, .6, .7]);
        $of = static fn(PageKind $kind, ?int $position, float $searches): string => PlaceGains::of(
            [new WorkedKeyword($kind, $chances, $position, $searches)],
            CtrCurve::default(),
            self::MOVING_SHARE,
        )->fingerprint();
        $prints = [
            $of(PageKind::New, null, 100.0),
            $of(PageKind::New, 30, 100.0),
            $of(PageKind::Existing, 30, 100.0),
            $of(PageKind::Existing, 30, 101.0),
            PlaceGains::title(40.0, .5)->fingerprint(),
            PlaceGains::title(40.0, .25)->fingerprint(),
        ];
        self::assertSame($prints, array_values(array_unique($prints)));
        self::assertSame($prints[0], $of(PageKind::New, null, 100.0));
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 20) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    private static function gained(WorkedKeyword $keyword, float $u, Shifts $shifts, CtrCurve $curve): float
    {
        $now = $keyword->position === null ? 0.0 : $curve->at($keyword->position);
        for ($place = 1; $place < ($keyword->position ?? 101); ++$place) {
            if (round(self::chance($keyword, $place, $shifts), 12) >= $u) {
                return $curve->at($place) - $now;
            }
        }

        return 0.0;
    }

    /** G(t): σ(logit F + δ) at the bounds of the classes for a new page, σ(logit(s · F ÷ F(p0)) + δ) for an existing one. */
    private static function chance(WorkedKeyword $keyword, int $place, Shifts $shifts): float
    {
        $shifted = static fn(float $chance, float $shift): float => 1 / (1 + exp(-log($chance / (1 - $chance)) - $shift));
        if ($keyword->kind === PageKind::Existing) {
            $now = $keyword->position === null ? 1.0 : $keyword->chances->upTo($keyword->position);

            return $shifted(self::MOVING_SHARE * $keyword->chances->upTo($place) / $now, $shifts->existing);
        }
        foreach ([[0, 1], [1, 3], [3, 5], [5, 10], [10, 20], [20, 50], [50, 100]] as [$from, $to]) {
            if ($place <= $to) {
                $below = $from === 0 ? 0.0 : $shifted($keyword->chances->upTo($from), $shifts->new);
                $upTo = $shifted($keyword->chances->upTo($to), $shifts->new);

                return $below + ($upTo - $below) * ($place - $from) / max(1, $to - $from);
            }
        }

        return 1.0;
    }
}
