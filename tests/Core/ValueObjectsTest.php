<?php

declare(strict_types=1);

namespace Tests\Core;

use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Metrics\DomainFigures;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Placement;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Plan\WorkItem;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\PageOneResult;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A value that exists is a value that can be: what rules are given needs no second look. */
final class ValueObjectsTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): object}> */
    public static function impossible(): iterable
    {
        yield 'a ranking of nothing' => [static fn(): Ranking => new Ranking('', 1)];
        yield 'a ranking above the first' => [static fn(): Ranking => new Ranking('pen', 0)];
        yield 'a ranking below the last' => [static fn(): Ranking => new Ranking('pen', 101)];
        yield 'less than no searches' => [static fn(): Metrics => new Metrics(-1)];
        yield 'a difficulty below 0' => [static fn(): Metrics => new Metrics(1, -0.1)];
        yield 'a difficulty above 100' => [static fn(): Metrics => new Metrics(1, 100.1)];
        yield 'a click that pays' => [static fn(): Metrics => new Metrics(1, 1, -0.01)];
        yield 'less than no advertisers' => [static fn(): Metrics => new Metrics(1, 1, 1, -0.01)];
        yield 'an authority above 100' => [static fn(): DomainFigures => new DomainFigures(100.5)];
        yield 'an authority below 0' => [static fn(): DomainFigures => new DomainFigures(-0.5)];
        yield 'a site stronger than can be' => [static fn(): PageOneResult => new PageOneResult(1, 'https://a.example/', 100.1)];
        yield 'a site weaker than can be' => [static fn(): PageOneResult => new PageOneResult(1, 'https://a.example/', -0.1)];
        yield 'a page weaker than can be' => [static fn(): PageOneResult => new PageOneResult(1, 'https://a.example/', 1, -0.1)];
        yield 'an aim below the last' => [static fn(): Judgement => new Judgement(101)];
        yield 'a fit below 0' => [static fn(): Judgement => new Judgement(1, -1)];
        yield 'a difficulty of ones own below 0' => [static fn(): Judgement => new Judgement(difficulty: -0.1)];
        yield 'more held than there is' => [static fn(): Ground => Ground::held(4, 3)];
        yield 'less held than nothing' => [static fn(): Ground => Ground::held(-1, 3)];
        yield 'a season of eleven months' => [static fn(): Season => Season::ofIndices(array_fill(0, 11, 1.0))];
        yield 'scores of too few' => [static fn(): Scores => Scores::of(\array_slice(self::scores(), 0, 6))];
        yield 'scores of too many' => [static fn(): Scores => Scores::of([...self::scores(), 'more' => 1.0])];
        yield 'scores in another order' => [static fn(): Scores => Scores::of(array_reverse(self::scores()))];
        yield 'scores without a name' => [static fn(): Scores => Scores::inOrder(1.0, 2.0)];
        yield 'less than no links' => [static fn(): DomainFigures => new DomainFigures(50, -1)];
        yield 'less than no backlinks' => [static fn(): DomainFigures => new DomainFigures(50, 1, -1)];
        yield 'a result above the first' => [static fn(): PageOneResult => new PageOneResult(0, 'https://a.example/')];
        yield 'a result without a page' => [static fn(): PageOneResult => new PageOneResult(1, '')];
        yield 'a page stronger than can be' => [static fn(): PageOneResult => new PageOneResult(1, 'https://a.example/', 1, 101)];
        yield 'a page with less than no links' => [static fn(): PageOneResult => new PageOneResult(1, 'https://a.example/', 1, 1, -1)];
        yield 'an aim above the first' => [static fn(): Judgement => new Judgement(0)];
        yield 'a fit above 5' => [static fn(): Judgement => new Judgement(1, 6)];
        yield 'a difficulty of ones own above 100' => [static fn(): Judgement => new Judgement(difficulty: 101)];
        yield 'work on nothing' => [static fn(): WorkItem => new WorkItem('', 1, 1)];
        yield 'less than no work' => [static fn(): WorkItem => new WorkItem('pen', -0.5, 1)];
        yield 'work without end' => [static fn(): WorkItem => new WorkItem('pen', INF, 1)];
        yield 'work that costs visits' => [static fn(): WorkItem => new WorkItem('pen', 1, -1)];
        yield 'a ramp of no month' => [static fn(): ForecastItem => self::promise(ramp: 0)];
        yield 'work before the plan' => [static fn(): Placement => new Placement(new WorkItem('pen', 1, 1), -1, 0)];
        yield 'work that ends before it begins' => [static fn(): Placement => new Placement(new WorkItem('pen', 1, 1), 2, 1)];
    }

    /** @param \Closure(): object $make */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_not_made(\Closure $make): void
    {
        $this->expectException(InvalidArgument::class);
        $make();
    }

    public function test_the_borders_belong_to_what_can_be(): void
    {
        $made = [
            new Ranking('pen', 1),
            new Ranking('pen', 100),
            new Metrics(0, 0, 0, 0),
            new Metrics(PHP_INT_MAX, 100),
            Metrics::unknown(),
            new DomainFigures(0, 0, 0),
            new DomainFigures(100),
            new PageOneResult(1, 'https://a.example/', 0, 100, 0),
            new Judgement(1, 0, difficulty: 0),
            new Judgement(100, 5, difficulty: 100),
            new WorkItem('pen', 0, 0),
            self::promise(),
            new Placement(new WorkItem('pen', 1, 1), 0, 0),
            Ground::held(0, 0),
            Ground::held(3, 3),
            Season::ofIndices(array_fill(0, 12, 1.0)),
            Scores::of(self::scores()),
            new PageOneResult(1, 'https://a.example/', 100, 0),
            new Judgement(),
        ];
        self::assertCount(19, $made);
    }

    /** @return array<string, ?float> */
    private static function scores(): array
    {
        return array_fill_keys(Criterion::names(), 3.0);
    }

    private static function promise(int $ramp = 1): ForecastItem
    {
        $gains = PlaceGains::title(1.0, .5);

        return new ForecastItem('pen', $gains, Season::of(Metrics::unknown()), Month::parse('2026-12'), $ramp);
    }

    public function test_a_difficulty_of_ones_own_stands_in_for_the_sources_where_there_is_one(): void
    {
        $metrics = new Metrics(90, 30.0, 1.5, .2, null, true);
        self::assertSame($metrics, $metrics->corrected(null));
        self::assertEquals(new Metrics(90, 12.0, 1.5, .2, null, true), $metrics->corrected(12.0));
    }

    public function test_a_season_of_several_is_made_of_those_whose_whole_year_is_known(): void
    {
        $year = static fn(int $first): Metrics => new Metrics(monthly: [$first, ...array_fill(0, 11, 10)]);
        $part = new Metrics(monthly: [900, null, ...array_fill(0, 10, 10)]);
        self::assertEquals(Season::of($year(70)), Season::together([Metrics::unknown(), $year(70), $part]));
        self::assertEquals(Season::of(new Metrics(monthly: [80, ...array_fill(0, 11, 20)])), Season::together([$year(70), $year(10)]));
        self::assertEquals(Season::steady(), Season::together([$part, Metrics::unknown()]));
    }

    public function test_what_somebody_sent_is_quoted_on_one_line_and_not_longer_than_can_be_read(): void
    {
        $eighty = str_repeat('ü', 80);
        self::assertSame($eighty, InvalidValue::quote($eighty));
        self::assertSame($eighty.'…', InvalidValue::quote($eighty.'x'));
        self::assertSame('a \"b\"\n', InvalidValue::quote("a \"b\"\n"));
        self::assertSame('?', InvalidValue::quote("\xff"));
    }

    public function test_what_is_on_the_border_of_what_can_be_is_made(): void
    {
        $result = new PageOneResult(1, 'a', 0.0, 100.0, 0, '');
        self::assertSame([0.0, 100.0, 0], [$result->authority, $result->pageStrength, $result->referringDomains]);
        self::assertNull($result->isOffTopic('pen'));
        self::assertSame([true, false, true], [$result->hasNoLinks(), $result->isWeakPage(), $result->isWeak()]);
        $unknown = new PageOneResult(1, 'a');
        self::assertSame([false, false, false], [$unknown->hasNoLinks(), $unknown->isWeakPage(), $unknown->isWeak()]);
        $weak = new PageOneResult(1, 'a', pageStrength: PageOneResult::WEAK_STRENGTH, referringDomains: 1);
        self::assertSame([false, true, true], [$weak->hasNoLinks(), $weak->isWeakPage(), $weak->isWeak()]);
        $strong = new PageOneResult(1, 'a', pageStrength: PageOneResult::WEAK_STRENGTH + .1, referringDomains: 1);
        self::assertSame([false, false, false], [$strong->hasNoLinks(), $strong->isWeakPage(), $strong->isWeak()]);
        self::assertSame([false, true], [
            (new PageOneResult(1, 'a', title: 'The best Pens'))->isOffTopic('best pens'),
            (new PageOneResult(1, 'a', title: 'The best Pens'))->isOffTopic('red pens'),
        ]);
    }
}
