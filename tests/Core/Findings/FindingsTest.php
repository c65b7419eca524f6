<?php

declare(strict_types=1);

namespace Tests\Core\Findings;

use GreaterReach\Core\Findings\Counted;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Findings;
use GreaterReach\Core\Findings\Market;
use GreaterReach\Core\Findings\MissingData;
use GreaterReach\Core\Findings\Opportunities;
use GreaterReach\Core\Findings\Stage;
use GreaterReach\Core\Findings\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Golden;

/** Findings is said in words with their numbers, most worth first, and nothing is said where there is nothing. */
final class FindingsTest extends TestCase
{
    public function test_the_gap_says_how_few_topics_hold_half_of_it(): void
    {
        $gap = Opportunities::gap(new Counted('standing=gap', 40, 100.0), [5.0, 45.0, 10.0, 40.0]);
        self::assertSame(['keywords' => 40, 'visits' => 100.0, 'few' => 2, 'topics' => 4], $gap?->numbers);
        self::assertSame(
            'Competitors rank for 40 keywords where we don’t. 2 of 4 topics hold half of the 100 visits a month we could win there.',
            $gap->words,
        );
        $half = Opportunities::gap(new Counted('standing=gap', 2, 90.0), [45.0, 45.0]);
        self::assertSame(1, $half?->numbers['few'], 'Half of it is half of it.');
        $few = static fn(float ...$topics): int|float|null
            => Opportunities::gap(new Counted('standing=gap', 9, array_sum($topics)), array_values($topics))?->numbers['few'];
        self::assertSame([2, 2, 3], [$few(9.5, 1.0, 9.5), $few(10.0, 10.0, 10.0, 10.0), $few(1.0, 1.0, 1.0, 1.0, 1.0)]);
        self::assertStringContainsString('half of the 0.5 visits', (string) Opportunities::gap(new Counted('', 2, .5), [.5])?->words);
        self::assertSame('Competitors rank for 1 keyword where we don’t.', Opportunities::gap(new Counted('', 1, 0.0), [0.0])?->words);
        self::assertNull(Opportunities::gap(new Counted('standing=gap', 0, 0.0), []));
    }

    public function test_what_is_counted_leads_to_its_rows_and_nothing_is_said_of_none(): void
    {
        $some = new Counted('conflict=yes', 1, 2.34);
        $found = Opportunities::conflicts($some);
        self::assertSame(['conflicts', 'conflict=yes', 2.34], [$found?->code, $found?->show, $found?->worth]);
        self::assertStringContainsString('could add about 2.3 visits a month.', (string) $found?->words);
        $none = new Counted('x', 0, 0.0);
        self::assertNull(Opportunities::conflicts($none) ?? Opportunities::titles($none) ?? Opportunities::quickWins($none));
        self::assertNull(Opportunities::publishBy('March', '2026-12', $none) ?? Opportunities::weaker('a.example', 9, 20, $none));
        $weaker = Opportunities::weaker('100%.example', 9, 20.5, new Counted('p1<=20', 1234, 567.8));
        self::assertStringStartsWith('100%.example (authority 9, ours 20.5) is in the top 20', (string) $weaker?->words);
        self::assertStringContainsString('568 visits a month', (string) $weaker?->words);
    }

    public function test_a_stage_of_the_funnel_is_thin_only_where_a_competitor_has_more(): void
    {
        $beyond = new Counted('stage=bottom', 30, 12.0);
        self::assertNull(Opportunities::funnel('bottom', 50, 20, 20, 'inkmoor.example', $beyond));
        $thin = Opportunities::funnel('bottom', 50, 20, 21, 'inkmoor.example', $beyond);
        self::assertSame(['keywords' => 30, 'visits' => 12.0, 'all' => 50, 'ours' => 20, 'best' => 21], $thin?->numbers);
        self::assertStringContainsString('we have 20 on page one and inkmoor.example has 21', (string) $thin->words);
    }

    public function test_the_share_tells_its_trend_and_who_leads(): void
    {
        self::assertSame(
            'We get 15.6% of the clicks, 2.6 points more than in 2025-12. big.example gets the most, 39.8%.',
            Market::share(.1559, .13, '2025-12', 'big.example', .3983, 900)->words,
        );
        self::assertStringContainsString(', 40 points more', Market::share(.9, .5, '2026-01', null, null, 1)->words);
        self::assertSame('We get 50% of the clicks. No competitor gets more.', Market::share(.5, null, null, null, null, 1)->words);
        self::assertStringContainsString(', 1 point less', Market::share(.5, .51, '2026-01', null, null, 1)->words);
    }

    public function test_a_focus_is_no_accident_and_who_is_too_large_is_far_above(): void
    {
        self::assertNull(Market::focus('a.example', 'pens', true, new Counted('', 2, 1.0)));
        self::assertNotNull(Market::focus('a.example', 'pens', true, new Counted('', 3, 1.0)));
        $gains = Market::focus('a.example', 'pens', true, new Counted('m1=climbed', Market::FEWEST_OF_A_FOCUS, 1.0));
        $loses = Market::focus('a.example', 'pens', false, new Counted('m1=left', Market::FEWEST_OF_A_FOCUS, 1.0));
        self::assertSame(['focus', 'lost_focus'], [$gains?->code, $loses?->code]);
        self::assertNull(Market::tooLarge('a.example', 59.9, 30.0) ?? Market::tooLarge('a.example', 90.0, null));
        self::assertNotNull(Market::tooLarge('a.example', 60.0, 30.0));
        self::assertNull(Market::slipped(new Counted('', 0, 0.0), 0.0));
    }

    public function test_what_the_data_lack_is_told_and_what_they_have_is_not(): void
    {
        self::assertSame('The volume of all 7 keywords is unknown.', MissingData::volumes(7, 7)?->words);
        self::assertSame('The difficulty of 3 of 7 keywords is unknown.', MissingData::difficulties(3, 7)?->words);
        self::assertNull(MissingData::volumes(0, 7) ?? MissingData::difficulties(0, 7) ?? MissingData::urls([]));
        self::assertNull(MissingData::clicks(true) ?? MissingData::stale([], 35));
        self::assertStringContainsString('a.example, b.example', (string) MissingData::urls(['a.example', 'b.example'])?->words);
        self::assertSame([null, Stage::Gather], [MissingData::clicks(false)?->worth, MissingData::comparison()->stage]);
    }

    public function test_what_can_still_be_won_comes_first_and_missing_data_last(): void
    {
        [$a, $b, $c] = [self::finding('a', 5.0), self::finding('b', 9.0), self::finding('c', 5.0)];
        $missing = self::finding('missing', null);
        self::assertSame(['b', 'a', 'c', 'missing'], self::codes($a, null, $missing, $b, $c));
        $share = Market::share(.5, null, null, null, null, 400.0);
        self::assertSame(['a', 'share'], self::codes($share, self::finding('a', 5.0)), 'What we hold already cannot be won.');
        $many = array_map(static fn(int $number): Finding => self::finding("f{$number}", (float) $number), range(1, 20));
        $lacks = array_map(static fn(int $number): Finding => self::finding("lack{$number}", null), range(1, 5));
        self::assertSame(['f20', 'f19', 'f18', 'f17', 'f16', 'f15', 'f14', 'lack1'], self::codes(...$many, ...$lacks));
        self::assertSame(['lack1', 'lack2', 'lack3', 'lack4', 'lack5'], self::codes(...$lacks), 'All, where nothing else is known.');
    }

    public function test_a_finding_worth_less_than_a_hundredth_of_todays_visits_is_left_out(): void
    {
        $share = Market::share(.5, null, null, null, null, 1000.0);
        self::assertSame(['just', 'share'], self::codes($share, self::finding('little', 9.99), self::finding('just', 10.0)));
    }

    public function test_each_names_three_keywords_that_none_before_it_names(): void
    {
        $counted = static fn(string $show, float $visits): Counted => new Counted($show, 9, $visits);
        $rows = [
            'conflict=yes' => ['pen', 'ink', 'nib', 'wax'],
            'tactic=title' => ['ink', 'pen', 'wax', 'seal', 'quill'],
            'horizon=quick' => ['pen'],
        ];
        $told = Findings::choose(
            [
                Opportunities::titles($counted('tactic=title', 20.0)),
                Opportunities::conflicts($counted('conflict=yes', 30.0)),
                Opportunities::quickWins($counted('horizon=quick', 10.0)),
            ],
            static fn(Finding $finding, int $most): array => \array_slice($rows[(string) $finding->show], 0, $most),
        );
        self::assertSame(['conflicts', 'titles', 'quick_wins'], array_column($told, 'code'));
        self::assertStringEndsWith(' Most valuable: pen, ink and nib.', $told[0]->words);
        self::assertStringEndsWith(' Most valuable: wax, seal and quill.', $told[1]->words);
        self::assertStringNotContainsString('Most valuable', $told[2]->words, 'Its only one is named already.');
    }

    private static function finding(string $code, ?float $worth): Finding
    {
        return new Finding($code, [], '', '', Stage::Weigh, null, $worth);
    }

    /** @return list<string> of those that are told, each with a row of its own */
    private static function codes(?Finding ...$findings): array
    {
        $leading = static fn(Finding $finding, int $most): array => [$finding->code];

        return array_column(Findings::choose($findings, $leading), 'code');
    }

    public function test_what_nobody_can_tell_is_unknown_and_not_nothing(): void
    {
        $unknown = new Counted('standing=gap', 3, null);
        $gap = Opportunities::gap($unknown, [0.0]);
        self::assertSame('Competitors rank for 3 keywords where we don’t. What they would bring is unknown.', $gap?->words);
        $thin = Opportunities::funnel('top', 9, 1, 4, 'inkmoor.example', $unknown);
        self::assertStringEndsWith('3 keywords, worth an unknown number of visits a month.', (string) $thin?->words);
        self::assertSame([null, false, true], [$gap->worth, $gap->isLack(), MissingData::clicks(false)?->isLack()]);
        $none = Opportunities::conflicts(new Counted('conflict=yes', 2, 0.0));
        self::assertSame(['conflicts', 'gap', 'no_clicks'], self::codes(MissingData::clicks(false), $gap, $none));
        $half = Opportunities::conflicts(new Counted('conflict=yes', 2, .5));
        self::assertSame(['conflicts', 'gap'], self::codes($gap, $half), 'What is unknown comes after what is known to be little.');
        self::assertSame(['conflicts', 'gap'], self::codes($half, $gap));
        self::assertNull(MissingData::competitors(1));
        self::assertSame('no_competitors', MissingData::competitors(0)?->code);
    }

    public function test_what_leads_asks_for_something(): void
    {
        $share = Market::share(.5, null, null, null, null, 900);
        $wins = Opportunities::quickWins(new Counted('horizon=quick win', 3, 8.0));
        self::assertNotNull($wins);
        self::assertSame($wins, Findings::leading([$share, $wins]));
        self::assertSame($share, Findings::leading([$share]));
        self::assertNull(Findings::leading([]));
    }

    public function test_visits_have_a_figure_behind_the_point_below_ten(): void
    {
        self::assertSame(
            ['9.9 visits a month', '10 visits a month', '10 visits a month', '11 visits a month', '-10 visits a month'],
            array_map(Words::visits(...), [9.94, 9.96, 10.4, 10.5, -10.4]),
        );
    }

    public function test_it_is_kept_as_json(): void
    {
        $finding = Opportunities::conflicts(new Counted('conflict=yes', 3, 2.5));
        $kept = json_decode(json_encode([$finding, MissingData::clicks(false)], JSON_THROW_ON_ERROR), true, 8, JSON_THROW_ON_ERROR);
        self::assertEquals([$finding, MissingData::clicks(false)], array_map(Finding::fromArray(...), $kept));
    }

    /** @param array<string, string> $case */
    #[DataProvider('written')]
    public function test_each_says_what_it_says(array $case): void
    {
        $counted = new Counted('the=rows', 12, 34.56);
        $finding = match ($case['case']) {
            'quickWins' => Opportunities::quickWins($counted),
            'titles' => Opportunities::titles($counted),
            'publishBy' => Opportunities::publishBy('April', '2026-12', $counted),
            'weaker' => Opportunities::weaker('a.example', 14.0, 38.0, $counted),
            'conflicts' => Opportunities::conflicts($counted),
            'funnel' => Opportunities::funnel('top', 991, 85, 354, 'b.example', $counted),
            'gap' => Opportunities::gap($counted, [1.0, 2.0]),
            'slipped' => Market::slipped($counted, 7.25),
            'focus' => Market::focus('a.example', 'pens', true, $counted),
            'lost' => Market::focus('a.example', 'pens', false, $counted),
            'large' => Market::tooLarge('a.example', 90.0, 38.0),
            'share' => Market::share(.14, .114, '2025-12', 'b.example', .507, 8426.0),
            'cmp' => MissingData::comparison(),
            'comp' => MissingData::competitors(0),
            'vol' => MissingData::volumes(3, 7),
            'dif' => MissingData::difficulties(7, 7),
            'urls' => MissingData::urls(['a.example']),
            'clicks' => MissingData::clicks(false),
            default => MissingData::stale(['a.example', 'b.example'], 35),
        };
        self::assertSame($case['says'], json_encode($finding, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }

    /** @return iterable<string, array{array<string, string>}> */
    public static function written(): iterable
    {
        return Golden::cases(__DIR__.'/findings.txt');
    }

    public function test_a_share_that_stayed_is_more_by_nothing_and_one_point_is_one(): void
    {
        $words = static fn(float $now, ?float $before): string => Market::share($now, $before, '2026-01', null, null, 10.0)->words;
        self::assertStringContainsString('0 points more than in 2026-01', $words(.2, .2));
        self::assertStringContainsString('1 point more than in 2026-01', $words(.21, .2));
        self::assertStringContainsString('1 point less than in 2026-01', $words(.19, .2));
        self::assertStringContainsString('0.5 points less than in 2026-01', $words(.195, .2));
        self::assertStringNotContainsString('than', $words(.2, null));
    }
}
