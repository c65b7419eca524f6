<?php

declare(strict_types=1);

namespace Tests\StandIn;

use PHPUnit\Framework\TestCase;
use StandIn\Market;
use StandIn\MarketDomain;
use StandIn\Noise;

final class MarketTest extends TestCase
{
    public function test_a_seed_makes_the_same_market_every_time(): void
    {
        [$one, $same, $other] = [new Market(5), new Market(5), new Market(6)];
        self::assertEquals($one->keywords(), $same->keywords());
        self::assertSame($one->positions($one->keywords()[3], 7), $same->positions($same->keywords()[3], 7));
        self::assertNotEquals($one->keywords(), $other->keywords());
    }

    public function test_the_demo_has_its_size_and_domains_of_its_own(): void
    {
        self::assertEqualsWithDelta(6000, \count((new Market())->keywords()), 400);
        foreach (Market::domains() as $domain) {
            self::assertStringEndsWith('.example', $domain->host);
        }
    }

    public function test_no_two_domains_share_a_position_and_a_domain_leads_for_its_own_brand(): void
    {
        $market = new Market();
        foreach ($market->keywords() as $keyword) {
            $positions = array_column($market->positions($keyword, 11), 'position');
            self::assertSame($positions, array_values(array_unique($positions)));
            if ($keyword->brandOf !== '') {
                self::assertSame($keyword->brandOf, array_key_first($market->positions($keyword, 11)));
            }
        }
    }

    public function test_the_young_domain_rises_from_month_to_month(): void
    {
        $market = new Market();
        $young = array_values(
            array_filter(Market::domains(), static fn(MarketDomain $domain): bool => $domain->host === 'first-swarm.example'),
        )[0];
        $onPageOne = static fn(int $month): int => \count(
            array_filter(
                $market->keywords(),
                static fn($keyword): bool => ($market->positions($keyword, $month)[$young->host]['position'] ?? 101) <= 10,
            ),
        );
        self::assertGreaterThan($onPageOne(0), $onPageOne(11));
    }

    /** Moments of the uniform and the normal distribution, within four standard errors of 20,000 draws. */
    public function test_noise_is_uniform_and_normal(): void
    {
        $noise = new Noise(1);
        $uniform = array_map(static fn(int $number): float => $noise->uniform('u'.$number), range(1, 20000));
        $normal = array_map(static fn(int $number): float => $noise->normal('n'.$number), range(1, 20000));
        self::assertEqualsWithDelta(0.5, array_sum($uniform) / 20000, 4 * sqrt(1 / 12 / 20000));
        self::assertEqualsWithDelta(0.0, array_sum($normal) / 20000, 4 / sqrt(20000));
        self::assertEqualsWithDelta(
            1.0,
            array_sum(array_map(static fn(float $value): float => $value ** 2, $normal)) / 20000,
            4 * sqrt(2 / 20000),
        );
    }
}
