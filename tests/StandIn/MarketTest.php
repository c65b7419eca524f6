<?php

declare(strict_types=1);

namespace Tests\StandIn;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Constraint\Constraint;
use PHPUnit\Framework\TestCase;
use StandIn\Market;
use StandIn\MarketDomain;
use StandIn\MarketKeyword;
use StandIn\Neighbours;
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

    /**
     * The shares that docs/sources.md promises. Where they come from is common practice, without a source: most searches are rare ones, and
     * an established shop has most of its keywords beyond page one.
     */
    public function test_demand_falls_by_a_power_law_with_a_long_tail(): void
    {
        $volumes = array_map(static fn(MarketKeyword $keyword): int => $keyword->volume, (new Market())->keywords());
        rsort($volumes);
        $share = static fn(\Closure $counts): float => \count(array_filter($volumes, $counts)) / \count($volumes);
        self::assertThat($share(static fn(int $volume): bool => $volume <= 50), self::between(.55, .8));
        self::assertThat($share(static fn(int $volume): bool => $volume >= 1000), self::between(.01, .05));
        self::assertThat(\count(array_filter($volumes, static fn(int $volume): bool => $volume >= 10_000)), self::between(3, 30));
        self::assertThat(self::slope($volumes, 10, 1000), self::between(-1.3, -.6));
    }

    /** @return iterable<string, array{int}> */
    public static function months(): iterable
    {
        yield 'eight months in' => [8];
        yield 'a year in' => [11];
    }

    #[DataProvider('months')]
    public function test_an_established_shop_stands_where_such_shops_stand(int $month): void
    {
        $shares = self::standing(new Market())[$month];
        $ours = $shares['thornfield-apiary.example'];
        self::assertThat($ours['top'], self::between(.03, .06));
        self::assertThat($ours['page one'], self::between(.08, .14));
        self::assertThat($ours['page two'], self::between(.1, .15));
        [$magazine, $young] = [$shares['gardenalmanac.example'], $shares['first-swarm.example']];
        self::assertGreaterThan(1.3 * $ours['ranks'], $magazine['ranks']);
        self::assertGreaterThan(2 * self::leading($ours), self::leading($magazine), 'Far more keywords on page one.');
        self::assertLessThan(.5 * $ours['ranks'], $young['ranks']);
        self::assertLessThan(.4 * self::leading($ours), self::leading($young));
    }

    public function test_difficulty_rises_with_volume_and_with_who_ranks(): void
    {
        $keywords = array_values(array_filter((new Market())->keywords(), static fn(MarketKeyword $one): bool => $one->page === 'shop'));
        $difficulties = array_map(static fn(MarketKeyword $keyword): float => $keyword->difficulty, $keywords);
        $volumes = array_map(static fn(MarketKeyword $keyword): float => log($keyword->volume), $keywords);
        $neighbours = new Neighbours(new Noise(2056));
        $authorities = array_map(
            static fn(MarketKeyword $keyword): float => array_sum(array_column($neighbours->of($keyword, 10), 'authority')) / 10,
            $keywords,
        );
        self::assertGreaterThan(.5, self::correlation($difficulties, $volumes));
        self::assertGreaterThan(.2, self::correlation($difficulties, $authorities));
    }

    public function test_each_has_its_subject_and_months_bring_movement(): void
    {
        $market = new Market();
        $onPageOne = self::onPageOne($market);
        self::assertSame('hivewright.example', self::leader($onPageOne[11]['extraction']));
        self::assertSame('meadowcomb.example', self::leader($onPageOne[11]['queens']));
        $of = static fn(string $subject, string $host, int $month): int => $onPageOne[$month][$subject][$host] ?? 0;
        [$before, $after] = [$of('feeding', 'skepandsmoker.example', 2), $of('feeding', 'skepandsmoker.example', 11)];
        self::assertGreaterThan(2 * $before, $after, 'It builds up.');
        self::assertLessThan(.6 * $of('suits', 'hivewright.example', 6), $of('suits', 'hivewright.example', 9), 'Its site was rebuilt.');
        self::assertSame([0, true], [
            array_sum(array_column($onPageOne[4], 'combandclover.example')),
            array_sum(array_column($onPageOne[11], 'combandclover.example')) > 20,
        ], 'A competitor opens in May.');
    }

    public function test_what_is_worked_on_moves_or_does_not(): void
    {
        $market = new Market();
        $moved = array_map(static function (array $work) use ($market): float {
            $keyword = array_values(array_filter($market->keywords(), static fn($one): bool => $one->text === $work['keyword']))[0];
            $place = static fn(int $month): int => $market->positions($keyword, $month)['thornfield-apiary.example']['position'] ?? 101;

            return log($place($work['month']) / $place($work['month'] + 4));
        }, $market->worked()->upTo(8));
        $climbed = \count(array_filter($moved, static fn(float $by): bool => $by > .5));
        self::assertThat(\count($moved), self::between(15, 20));
        self::assertThat($climbed, self::logicalAnd(self::greaterThan(3), self::lessThan(\count($moved) - 3)));
    }

    /** What a page one shows: hosts that come back, titles that name the keyword or do not, some of another trade. */
    public function test_page_one_has_neighbours_that_rank_for_many_keywords(): void
    {
        $neighbours = new Neighbours(new Noise(2056));
        $keywords = array_slice((new Market())->keywords(), 0, 600);
        $hosts = array_count_values(array_merge(...array_map(
            static fn(MarketKeyword $keyword): array => array_column($neighbours->of($keyword, 10), 'host'),
            $keywords,
        )));
        self::assertGreaterThan(10, \count(array_filter($hosts, static fn(int $count): bool => $count > 60)));
        $all = (new Market())->keywords();
        $queen = array_values(array_filter($all, static fn(MarketKeyword $one): bool => $one->text === 'queen clip'))[0];
        self::assertContains('Hair clips with crowns', array_column($neighbours->of($queen, 10), 'title'));
    }

    /**
     * @param list<int> $volumes the largest first
     *
     * @return float of the logarithm of the volume by that of the rank
     */
    private static function slope(array $volumes, int $from, int $to): float
    {
        $ranks = range($from, $to);
        $logs = array_map(static fn(int $rank): float => log($volumes[$rank - 1]), $ranks);
        $by = array_map(static fn(int $rank): float => log($rank), $ranks);

        return self::covariance($logs, $by) / self::covariance($by, $by);
    }

    /**
     * @param list<float> $one
     * @param list<float> $other
     */
    private static function correlation(array $one, array $other): float
    {
        return self::covariance($one, $other) / sqrt(self::covariance($one, $one) * self::covariance($other, $other));
    }

    /**
     * @param list<float> $one
     * @param list<float> $other
     */
    private static function covariance(array $one, array $other): float
    {
        $count = \count($one);
        $product = array_sum(array_map(static fn(float $a, float $b): float => $a * $b, $one, $other));

        return $product / $count - array_sum($one) * array_sum($other) / $count ** 2;
    }

    /** @return array<int, array<string, array{ranks: int, top: float, 'page one': float, 'page two': float}>> month → host */
    private static function standing(Market $market): array
    {
        $standing = [];
        foreach ([8, 11] as $month) {
            $places = [];
            foreach ($market->keywords() as $keyword) {
                foreach ($market->positions($keyword, $month) as $host => ['position' => $position]) {
                    $places[$host][] = $position;
                }
            }
            foreach ($places as $host => $positions) {
                $share = static fn(int $from, int $to): float => \count(
                    array_filter($positions, static fn(int $position): bool => $position >= $from && $position <= $to),
                ) / \count($positions);
                $standing[$month][$host] = [
                    'ranks' => \count($positions), 'top' => $share(1, 3), 'page one' => $share(4, 10), 'page two' => $share(11, 20),
                ];
            }
        }

        return $standing;
    }

    /** @param array{ranks: int, top: float, 'page one': float, 'page two': float} $standing */
    private static function leading(array $standing): float
    {
        return $standing['ranks'] * ($standing['top'] + $standing['page one']);
    }

    /** @return array<int, array<string, array<string, int>>> month → subject → host → keywords on page one */
    private static function onPageOne(Market $market): array
    {
        $counts = [];
        foreach ([2, 4, 6, 9, 11] as $month) {
            foreach ($market->keywords() as $keyword) {
                foreach ($market->positions($keyword, $month) as $host => ['position' => $position]) {
                    $counts[$month][$keyword->subject][$host] ??= 0;
                    $counts[$month][$keyword->subject][$host] += $position <= 10 ? 1 : 0;
                }
            }
        }

        return $counts;
    }

    /** @param array<string, int> $counts */
    private static function leader(array $counts): string
    {
        arsort($counts);

        return (string) array_key_first($counts);
    }

    private static function between(float $least, float $most): Constraint
    {
        return self::logicalAnd(self::greaterThanOrEqual($least), self::lessThanOrEqual($most));
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
