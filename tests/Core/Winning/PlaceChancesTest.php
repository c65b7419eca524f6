<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Winning\PlaceChances;
use PHPUnit\Framework\TestCase;

/** By hand: within a class all places count alike. */
final class PlaceChancesTest extends TestCase
{
    private static function chances(): PlaceChances
    {
        // Places 1, 3, 5, 10, 20, 50 and 100 or better.
        return new PlaceChances([.1, .2, .3, .4, .5, .8, .9]);
    }

    public function test_the_chance_of_a_place_or_better_lies_on_a_line_within_its_class(): void
    {
        $told = array_map(self::chances()->upTo(...), [0, 1, 2, 3, 4, 5, 6, 10, 15, 20, 21, 50, 100, 101]);
        $expected = [0.0, .1, .15, .2, .25, .3, .32, .4, .45, .5, .51, .8, .9, .9];
        foreach ($expected as $number => $chance) {
            self::assertEqualsWithDelta($chance, $told[$number], 1e-12);
        }
    }

    public function test_what_is_held_is_not_given_up(): void
    {
        $chances = self::chances();
        self::assertSame([1.0, .1], [$chances->noWorseThan(null), $chances->noWorseThan(1)]);
        self::assertEqualsWithDelta(.2 / .4, $chances->reach(3, 10), 1e-12);
        self::assertSame(.9, $chances->reach(100, null));
        self::assertSame(0.0, (new PlaceChances(array_fill(0, 7, 0.0)))->reach(1, 10));
        foreach ([.1, .1, .1, .1, .1, .3, .1, .1] as $class => $chance) {
            self::assertEqualsWithDelta($chance, $chances->byClass()[$class], 1e-12);
        }
    }
}
