<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Statistics\ShiftPosterior;
use GreaterReach\Core\Winning\Effect;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\FinishedItem;
use GreaterReach\Core\Winning\MarketPages;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlaceChances;
use GreaterReach\Core\Winning\PlacesAfterWork;
use GreaterReach\Core\Winning\PositionFit;
use PHPUnit\Framework\TestCase;

final class EffectTest extends TestCase
{
    public function test_without_items_the_prior_stands(): void
    {
        $prior = Effect::prior(-.3, .7);
        self::assertEqualsWithDelta(-.3, $prior->mean(), 1e-4);
        self::assertEqualsWithDelta(.7, $prior->posterior->deviation(), 1e-3);
        self::assertSame($prior, $prior->learning([]));
    }

    public function test_the_draw_of_a_shift_follows_the_weights(): void
    {
        $posterior = ShiftPosterior::normal(.5, .7);
        $sum = 0.0;
        for ($step = 0; $step < 1000; ++$step) {
            $sum += $posterior->quantile(($step + .5) / 1000);
        }
        self::assertEqualsWithDelta($posterior->mean(), $sum / 1000, .01);
        self::assertSame([-4.0, 4.0], [$posterior->quantile(0.0), ShiftPosterior::normal(4.0, .1)->quantile(1.0)]);
    }

    public function test_successes_raise_it_and_failures_lower_it(): void
    {
        $none = Effects::learn(0, 0.0);
        foreach (PageKind::cases() as $kind) {
            $success = $none->taughtBy(self::item($kind, 2));
            $failure = $none->taughtBy(self::item($kind, null));
            self::assertGreaterThan($none->of($kind)->mean(), $success->of($kind)->mean());
            self::assertLessThan($none->of($kind)->mean(), $failure->of($kind)->mean());
            $other = $kind === PageKind::New ? PageKind::Existing : PageKind::New;
            self::assertSame([1, 0], [$success->of($kind)->items, $success->of($other)->items]);
        }
    }

    public function test_more_successes_never_lower_a_chance(): void
    {
        $before = -INF;
        $items = [];
        for ($number = 0; $number < 20; ++$number) {
            $items[] = self::item(PageKind::Existing, 1);
            $mean = Effects::learn(0, 0.0, $items)->existing->mean();
            self::assertGreaterThan($before, $mean);
            $before = $mean;
        }
    }

    /** By hand: a new page without a place before falls into one of eight classes, and their chances sum to one. */
    public function test_a_new_page_is_judged_by_its_class_and_an_existing_one_by_its_target(): void
    {
        $chances = [];
        foreach ([1, 2, 4, 7, 15, 30, 80, null] as $now) {
            $chances[] = self::item(PageKind::New, $now)->chanceOfResult(.4);
        }
        self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-12);
        $places = PlacesAfterWork::of(PageKind::Existing, self::chances(), 12, .35, .4);
        $item = static fn(?int $now): FinishedItem => new FinishedItem(PageKind::Existing, self::chances(), 12, 3, .35, $now);
        self::assertSame($places->upTo(3), $item(3)->chanceOfResult(.4));
        self::assertSame(1 - $places->upTo(3), $item(4)->chanceOfResult(.4));
        // Where another page ranks at 60 the classes end before it.
        $beside = static fn(?int $now): FinishedItem => new FinishedItem(PageKind::New, self::chances(), 60, 3, .35, $now);
        $sum = 0.0;
        foreach ([1, 2, 4, 7, 15, 30, 60] as $now) {
            $sum += $beside($now)->chanceOfResult(.4);
        }
        self::assertEqualsWithDelta(1.0, $sum, 1e-12);
    }

    public function test_new_pages_of_the_market_shift_by_how_they_did(): void
    {
        $fit = PositionFit::fromArray([
            'alphas' => [-3.0, -1.8, -1.1, 0.0, 1.0, 2.0, 2.4], 'betas' => ['difficulty' => null, 'authority' => null, 'ground' => null,
                'volume' => null], 'rows' => 500, 'assumed' => false, 'odd' => [], 'ranges' => [],
        ]);
        $market = static function (?int $now) use ($fit): MarketPages {
            $market = new MarketPages($fit);
            foreach (range(1, 30) as $page) {
                $market->add("0 {$page}", -1.0, $now);
                $market->add("0 {$page}", -1.0, $now);
            }

            return $market;
        };
        self::assertSame(0.0, (new MarketPages($fit))->shift());
        self::assertSame(30, $market(4)->count());
        self::assertGreaterThan(.5, $market(4)->shift());
        self::assertLessThan(-.5, $market(null)->shift());
    }

    public function test_it_is_read_as_it_was_written(): void
    {
        $effects = Effects::learn(12, -.4, [self::item(PageKind::New, 3), self::item(PageKind::Existing, null)]);
        self::assertEquals($effects, Effects::fromArray($effects->toArray()));
    }

    private static function item(PageKind $kind, ?int $now): FinishedItem
    {
        return new FinishedItem($kind, self::chances(), $kind === PageKind::New ? null : 15, 3, .35, $now);
    }

    private static function chances(): PlaceChances
    {
        return new PlaceChances([.05, .15, .25, .4, .6, .8, .9]);
    }
}
