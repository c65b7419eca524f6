<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Winning\Effect;
use PHPUnit\Framework\TestCase;

final class EffectTest extends TestCase
{
    public function test_four_items_teach_nothing_and_five_do(): void
    {
        $item = ['reach' => .5, 'reached' => true];
        self::assertEquals(Effect::assumed(.3, 4), Effect::learn(array_fill(0, 4, $item), .3));
        $learnt = Effect::learn(array_fill(0, 5, $item), .3);
        self::assertTrue($learnt->isLearnt);
        self::assertSame(5, $learnt->items);
    }

    /**
     * Closed form: where every page that moves reaches its target (q = 1) the posterior is a beta distribution with y + 2 and n − y + 2, of
     * which the mean is (y + 2) ÷ (n + 4); on a hundred steps it is met to some thousandths.
     */
    public function test_it_agrees_with_the_beta_distribution(): void
    {
        foreach ([[10, 7], [20, 4], [40, 40], [6, 0]] as [$items, $reached]) {
            $list = array_map(static fn(int $number): array => ['reach' => 1.0, 'reached' => $number < $reached], range(0, $items - 1));
            self::assertEqualsWithDelta(($reached + 2) / ($items + 4), Effect::learn($list, .5)->share, 2e-3);
        }
    }

    public function test_thousands_of_items_do_not_run_out_of_numbers(): void
    {
        $list = array_map(static fn(int $number): array => ['reach' => .4, 'reached' => $number % 5 === 0], range(0, 4999));
        self::assertEqualsWithDelta(.5, Effect::learn($list, .1)->share, .02);
    }

    public function test_an_effect_is_a_share_and_is_read_as_it_was_written(): void
    {
        $effect = Effect::learn(array_fill(0, 6, ['reach' => .3, 'reached' => false]), .5);
        self::assertEquals($effect, Effect::fromArray($effect->toArray()));
        $this->expectException(Misuse::class);
        Effect::assumed(1.1);
    }
}
