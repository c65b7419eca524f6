<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Plan\DrawCache;
use GreaterReach\Core\Plan\Forecast;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Winning\Effects;
use PHPUnit\Framework\TestCase;

/** A forecast is the same whether its draws are kept or made anew, and asks for none that it does not need. */
final class DrawCacheTest extends TestCase
{
    private const DRAWS = 400;

    private static function item(string $name, string $done): ForecastItem
    {
        return new ForecastItem($name, PlaceGains::title(100.0, .3), Season::steady(), Month::parse($done), 3);
    }

    private static function effects(): Effects
    {
        return Effects::learn(0, 0.0);
    }

    /** @return DrawCache&object{asked: list<list<string>>, drawn: list<string>} keeps all that was drawn */
    private static function kept(): DrawCache
    {
        return new class implements DrawCache {
            /** @var list<list<string>> */
            public array $asked = [];

            /** @var list<string> */
            public array $drawn = [];

            /** @var array<string, list<float>> */
            private array $kept = [];

            #[\Override]
            public function drawn(array $items, \Closure $draw): array
            {
                $this->asked[] = array_map(static fn(ForecastItem $item): string => $item->name, $items);
                foreach ($items as $item) {
                    if (! isset($this->kept[$item->name])) {
                        $this->drawn[] = $item->name;
                        $this->kept[$item->name] = $draw($item);
                    }
                }

                return array_intersect_key($this->kept, array_flip($this->asked[\count($this->asked) - 1]));
            }
        };
    }

    /**
     * Expected by a script of a dozen lines outside the project: xoshiro256** after Blackman and Vigna 2018, its state the SHA-256 of seed,
     * line end and name; three numbers a draw of 52 bits each; Box and Muller 1958.
     */
    public function test_draws_are_those_that_another_program_makes(): void
    {
        $item = new ForecastItem('red pen', PlaceGains::title(100.0, .81), Season::steady(), Month::parse('2026-12'), 1);
        $drawn = (new Forecast(6, .4, 2027, self::effects()))->totals([$item], Month::parse('2027-01'));
        foreach ([76.336558667, 0.0, 119.738694308, 0.0, 89.590969652, 0.0] as $number => $gain) {
            self::assertEqualsWithDelta($gain, $drawn[$number], 1e-8);
        }
    }

    public function test_bands_are_the_same_and_nothing_is_drawn_twice(): void
    {
        $items = [self::item('a', '2026-12'), self::item('b', '2027-01'), self::item('c', '2027-06')];
        $months = [Month::parse('2027-01'), Month::parse('2027-03')];
        $anew = (new Forecast(self::DRAWS, .3, 7, self::effects()))->bands($items, $months);
        $kept = self::kept();
        self::assertEquals($anew, (new Forecast(self::DRAWS, .3, 7, self::effects(), $kept))->bands($items, $months));
        self::assertEquals($anew, (new Forecast(self::DRAWS, .3, 7, self::effects(), $kept))->bands($items, $months));
        self::assertSame([['a', 'b'], ['a', 'b']], $kept->asked, 'What pays in none of the months is not asked for.');
        self::assertSame(['a', 'b'], $kept->drawn);
    }

    public function test_kept_draws_are_those_that_are_told(): void
    {
        $kept = new class implements DrawCache {
            #[\Override]
            public function drawn(array $items, \Closure $draw): array
            {
                return ['a' => [1.0, 2.0, 3.0]];
            }
        };
        $band = (new Forecast(3, .3, 7, self::effects(), $kept))->bands([self::item('a', '2026-12')], [Month::parse('2027-03')])[0];
        self::assertSame([1.2, 2.0, 2.8], [round($band->p10, 12), $band->p50, round($band->p90, 12)]);
    }

    public function test_an_item_pays_from_the_month_after_it_is_done(): void
    {
        $item = self::item('a', '2026-12');
        self::assertSame([false, false, true], array_map(
            static fn(string $month): bool => $item->paysIn(Month::parse($month)),
            ['2026-11', '2026-12', '2027-01'],
        ));
    }
}
