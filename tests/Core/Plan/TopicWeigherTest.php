<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Plan\TopicWeigher;
use GreaterReach\Core\Plan\WeighedTopic;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Priority\TitleTest;
use GreaterReach\Core\Priority\Work;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\ComfortDifficulty;
use PHPUnit\Framework\TestCase;

final class TopicWeigherTest extends TestCase
{
    public function test_what_a_page_brings_is_the_sum_of_what_is_known_of_its_keywords(): void
    {
        $topic = $this->weigh('ink', [
            self::keyword('blue ink', volume: 90, gain: 12.0, expected: 3.0, visits: 1.0, potential: 30.0),
            self::keyword('ink', volume: 500, gain: 40.0, expected: 20.0, visits: 5.0, potential: 160.0),
            self::keyword('ink pot', volume: null, gain: null, expected: null, visits: null, potential: null),
        ]);
        self::assertSame(
            ['ink', 3, 590, 6.0, 190.0, 52.0, 23.0],
            [
                $topic->lead->keyword, $topic->keywords, $topic->volume, $topic->visitsNow, $topic->potential,
                $topic->work->gain, $topic->work->expectedGain,
            ],
        );
        self::assertSame(23.0 / 1.0, $topic->worth);
        self::assertNull($this->weigh('ink', [self::keyword('ink', volume: null, gain: null, expected: null)])->worth);
    }

    public function test_who_leads_is_the_primary_keyword_or_else_who_gains_most(): void
    {
        $others = [self::keyword('a ink', gain: null), self::keyword('b ink', gain: 7.0), self::keyword('c ink', gain: 7.0)];
        self::assertSame('b ink', $this->weigh('ink', $others)->lead->keyword, 'Of equal ones the first.');
        self::assertSame('ink', $this->weigh('ink', [...$others, self::keyword('ink', gain: 0.0)])->lead->keyword);
        self::assertSame('a ink', $this->weigh('ink', [self::keyword('a ink', gain: null)])->lead->keyword);
        $this->expectException(InvalidArgument::class);
        $this->weigh('ink', []);
    }

    public function test_the_primary_keyword_bears_the_name_or_else_has_the_most_volume(): void
    {
        self::assertSame('pen', TopicWeigher::primary('pen', ['best pen' => 900, 'pen' => null]));
        self::assertSame('pen', TopicWeigher::primary('Writing', ['best pen' => null, 'case' => 50, 'pen' => 90, 'pens' => 90]));
        self::assertSame('12', TopicWeigher::primary('Numbers', ['12' => null, '13' => null]));
    }

    public function test_what_a_click_is_worth_is_weighted_by_what_is_gained(): void
    {
        $topic = $this->weigh('ink', [
            self::keyword('a', gain: 30.0, cpc: 1.0),
            self::keyword('b', gain: 10.0, cpc: 3.0),
            self::keyword('c', gain: 99.0, cpc: null),
            self::keyword('d', gain: null, cpc: 50.0),
        ]);
        self::assertSame(1.5, $topic->cpc);
        self::assertNull($this->weigh('ink', [self::keyword('a', gain: 0.0, cpc: 2.0)])->cpc, 'Nothing is gained.');
    }

    public function test_the_intent_is_that_of_the_keywords_that_gain_most(): void
    {
        $intent = fn(OpenKeyword ...$open): Intent => $this->weigh('ink', array_values($open))->intent;
        self::assertSame(Intent::Learn, $intent(
            self::keyword('a', gain: 9.0, intent: Intent::Buy),
            self::keyword('b', gain: 5.0, intent: Intent::Learn),
            self::keyword('c', gain: 5.0, intent: Intent::Learn),
        ));
        self::assertSame(Intent::Compare, $intent(
            self::keyword('a', gain: 5.0, intent: Intent::Open),
            self::keyword('b', gain: 5.0, intent: Intent::Compare),
        ), 'Of equal ones the nearer to a purchase.');
        self::assertSame(Intent::Learn, $intent(self::keyword('a', gain: null, intent: Intent::Learn)), 'Only those that occur.');
        self::assertSame(Intent::Learn, $intent(
            self::keyword('a', gain: null, intent: Intent::Buy),
            self::keyword('b', gain: .25, intent: Intent::Learn),
        ), 'What is unknown gains nothing.');
    }

    public function test_a_quick_win_counts_what_the_whole_page_gains(): void
    {
        $small = ['gain' => 6.0, 'position' => 9, 'difficulty' => 20.0, 'reach' => .1];
        $one = self::keyword('a', ...$small);
        self::assertSame(Horizon::LongTerm, $this->weigh('a', [$one])->horizon);
        self::assertSame(Horizon::QuickWin, $this->weigh('a', [$one, self::keyword('b', gain: 6.0)])->horizon);
        $hard = self::keyword('a', ...[...$small, 'difficulty' => 31.0]);
        self::assertSame(Horizon::LongTerm, $this->weigh('a', [$hard, self::keyword('b', gain: 60.0)])->horizon, 'Beyond comfort.');
        $unknown = self::keyword('a', ...[...$small, 'difficulty' => null, 'reach' => null]);
        self::assertNull($this->weigh('a', [$unknown, self::keyword('b', gain: 60.0)])->horizon);
    }

    public function test_the_work_is_the_leads_and_done_once(): void
    {
        $links = TacticLabel::of(Tactic::ImprovePage, true);
        $topic = $this->weigh('a', [
            self::keyword('a', expected: 6.0, tactic: $links, links: 4),
            self::keyword('b', expected: 4.0, tactic: TacticLabel::of(Tactic::NewPage, true), links: 30),
        ]);
        self::assertSame(['improve page + links', 1.0, 10.0], [(string) $topic->work->tactic, $topic->effortDays, $topic->worth]);
    }

    public function test_every_ten_keywords_more_take_half_a_day_up_to_two(): void
    {
        $days = fn(int $count): float => $this->weigh('k 1', array_map(
            static fn(int $number): OpenKeyword => self::keyword("k {$number}"),
            range(1, $count),
        ))->effortDays;
        self::assertSame([1.0, 1.5, 1.5, 2.0, 3.0, 3.0], array_map($days, [10, 11, 20, 21, 60, 80]));
    }

    /** Both sums run over all open keywords; what is measured counts, whether its own ratio calls for a test or not. */
    public function test_titles_are_tested_where_a_day_of_that_is_worth_more(): void
    {
        $called = new TitleTest(40.0, 20.0, true);
        $open = [
            self::keyword('a', position: 4, expected: 3.0, title: $called, reachNow: .6),
            self::keyword('b', position: 6, expected: 2.0, title: new TitleTest(5.0, 2.5, false)),
            self::keyword('c', expected: 1.0),
        ];
        $topic = $this->weigh('a', $open);
        self::assertSame(
            ['test title', 4, 45.0, .5, 22.5, .6],
            [
                (string) $topic->work->tactic, $topic->work->target, $topic->work->gain, $topic->work->winChance,
                $topic->work->expectedGain, $topic->work->reach,
            ],
        );
        $open[] = self::keyword('d', expected: 60.0);
        self::assertSame(
            ['improve page', 66.0],
            [(string) $this->weigh('a', $open)->work->tactic, $this->weigh('a', $open)->work->expectedGain],
        );
        $uncalled = [self::keyword('a', position: 4, expected: .1, title: new TitleTest(40.0, 20.0, false)), $open[1]];
        self::assertSame('improve page', (string) $this->weigh('a', $uncalled)->work->tactic, 'Only the lead calls for one.');
        $unknown = [self::keyword('a', position: 4, expected: null, title: $called)];
        self::assertSame('test title', (string) $this->weigh('a', $unknown)->work->tactic, 'What is unknown counts as nothing.');
    }

    public function test_a_page_fits_as_well_as_the_keyword_that_fits_best(): void
    {
        $fits = static fn(?float ...$fits): array => array_map(
            static fn(?float $fit, int|string $number): OpenKeyword => self::keyword("ink {$number}", fit: $fit),
            $fits,
            array_keys($fits),
        );
        self::assertSame(4.0, $this->weigh('ink 0', $fits(2.0, 4.0, null, 3.0))->scores->at(Criterion::Fit));
        self::assertNull($this->weigh('ink 0', $fits(null, null))->scores->at(Criterion::Fit));
    }

    public function test_scores_are_those_of_the_pages_figures(): void
    {
        $topic = $this->weigh('a', [
            self::keyword('a', volume: 600, gain: 40.0, expected: 6.0, difficulty: 35.0, fit: 2.0),
            self::keyword('b', volume: 400, gain: 35.0, expected: 4.0, difficulty: 90.0, fit: 4.0),
        ]);
        $at = static fn(Criterion $one): ?float => $topic->scores->at($one);
        self::assertSame([2.0, 4.0, 3.0, 3.0, 4.0], array_map($at, [
            Criterion::Expected, Criterion::Volume, Criterion::Ease, Criterion::Gain, Criterion::Fit,
        ]), '10 visits expected, 1,000 searches, difficulty 35, 75 visits, the largest fit.');
    }

    /** @param list<OpenKeyword> $open */
    private function weigh(string $primary, array $open): WeighedTopic
    {
        return (new TopicWeigher(Rulebook::standard()->weighing(), ComfortDifficulty::fromDifficulties([])))
            ->weigh('the topic', $primary, $open, null);
    }

    private static function keyword(
        string $keyword,
        ?int $volume = 100,
        ?float $gain = 1.0,
        ?float $expected = .5,
        ?float $visits = 0.0,
        ?float $potential = 30.0,
        ?float $cpc = null,
        ?float $difficulty = 40.0,
        ?int $position = 30,
        ?float $reach = .1,
        ?TacticLabel $tactic = null,
        ?TitleTest $title = null,
        ?float $reachNow = null,
        ?int $links = 0,
        Intent $intent = Intent::Open,
        ?float $fit = null,
    ): OpenKeyword {
        return new OpenKeyword(
            $keyword,
            $position,
            $volume,
            $difficulty,
            $cpc,
            $visits,
            $potential,
            new Work($tactic ?? TacticLabel::of(Tactic::ImprovePage, false), 3, $gain, .2, $expected, $reach),
            $title,
            $reachNow,
            $links,
            $intent,
            $fit,
        );
    }
}
