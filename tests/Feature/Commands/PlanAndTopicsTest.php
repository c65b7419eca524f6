<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Actions\Decisions\DecisionInput;
use App\Actions\Decisions\RecordDecision;
use App\Models\Study;
use Tests\TestCase;

final class PlanAndTopicsTest extends TestCase
{
    private const OURS = "keyword,position,url,volume,difficulty\nbee hive,12,https://quillfair.example/hives,1000,20\nhive "
        ."kit,15,https://quillfair.example/hives,300,10\nbee suit,4,https://quillfair.example/suits,500,30\n";
    private const THEIRS = "keyword,position,url,volume,difficulty\nbee hive,3,https://inkmoor.example/h,,\nhive "
        ."kit,6,https://inkmoor.example/h,,\nbee box,2,https://inkmoor.example/h,200,15\nhives bees,9,https://inkmoor.example/other,50,5\n";

    private function study(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import($study, self::OURS, options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($study, self::THEIRS, options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);

        return $study;
    }

    public function test_topics_stand_in_taking_order_with_their_secondaries(): void
    {
        [$code, $csv] = $this->command('reach:topics', ['slug' => $this->study()->slug]);
        self::assertSame(0, $code);
        // Two domains rank one page for "bee hive" and "hive kit"; "bee box" has only one domain's evidence; "hives bees" has the stems
        // of "bee hive".
        self::assertSame("topic,keyword,role,volume,own_url\r\n"
            ."bee hive,bee hive,primary,1000,https://quillfair.example/hives\r\n"
            ."bee hive,hive kit,secondary,300,https://quillfair.example/hives\r\n"
            ."bee hive,hives bees,secondary,50,\r\n"
            ."bee suit,bee suit,primary,500,https://quillfair.example/suits\r\n"
            ."bee box,bee box,primary,200,\r\n", $csv);
    }

    public function test_another_keyword_of_the_topic_makes_it_an_extension(): void
    {
        [, $csv] = $this->command('reach:weigh', ['slug' => $this->study()->slug]);
        $tactics = array_column(self::readCsv($csv), 'tactic', 'keyword');
        self::assertSame(['extend page', 'new page', 'improve page'], [$tactics['hives bees'], $tactics['bee box'], $tactics['bee suit']]);
    }

    public function test_a_plan_takes_what_brings_most_within_the_capacity(): void
    {
        $study = $this->study();
        $months = implode(',', array_map(static fn(int $month): string => 'm'.$month, range(1, 12)));
        $this->import($study, "keyword,{$months}\nbee hive,0,0,0,900,900,0,0,0,0,0,0,0\n", 'keywords');
        $options = ['slug' => $study->slug, '--months' => '2', '--capacity' => '2', '--start' => '2026-12'];
        [$code, $csv] = $this->command('reach:plan', $options);
        self::assertSame(0, $code);
        [, $weighed] = $this->command('reach:weigh', ['slug' => $study->slug, '--by' => 'topic']);
        $topics = array_column(self::readCsv($weighed), null, 'topic');
        $rows = self::readCsv($csv);
        // The page of "bee hive" serves three open keywords, of which one has all its months.
        self::assertSame(
            ['2026-12', 'bee hive', 'bee hive', '3', 'https://quillfair.example/hives', '2027-02'],
            [$rows[0]['month'], $rows[0]['item'], $rows[0]['lead'], $rows[0]['keywords'], $rows[0]['own_url'], $rows[0]['publish_by']],
        );
        foreach ($rows as $row) {
            self::assertSame(
                [$topics[$row['item']]['expected_gain'], $topics[$row['item']]['effort_days'], $topics[$row['item']]['tactic']],
                [$row['expected_gain'], $row['effort_days'], $row['tactic']],
            );
            self::assertLessThanOrEqual(2.0, (float) $row['effort_days']);
        }
        $single = self::readCsv($this->command('reach:plan', [...$options, '--by' => 'keyword'])[1]);
        self::assertSame(['bee hive', 'hive kit'], [$single[0]['item'], $single[1]['item']]);
        self::assertSame(['1', '1'], array_column(\array_slice($single, 0, 2), 'keywords'));
    }

    public function test_a_shortlist_is_what_is_planned_by_the_pages_it_names(): void
    {
        $study = $this->study();
        $this->command('reach:weigh', ['slug' => $study->slug]);
        app(RecordDecision::class)->execute(
            $study->refresh(),
            new DecisionInput(['hive kit'], ['mark' => 'shortlisted']),
            $this->makeEditor($study)->id,
        );
        $options = ['slug' => $study->slug, '--start' => '2026-12'];
        self::assertSame(['bee hive'], array_column(self::readCsv($this->command('reach:plan', $options)[1]), 'item'));
        $single = self::readCsv($this->command('reach:plan', [...$options, '--by' => 'keyword'])[1]);
        self::assertSame(['hive kit'], array_column($single, 'item'));
    }

    public function test_a_goal_is_answered_with_the_capacity_it_takes(): void
    {
        $slug = $this->study()->slug;
        $options = ['slug' => $slug, '--start' => '2026-12', '--until' => '2027-06', '--odds' => '.3'];
        [$code, $plan, $told] = $this->commandApart('reach:plan', [...$options, '--goal' => '5']);
        self::assertSame(0, $code);
        self::assertMatchesRegularExpression(
            '/^The goal takes [\d.]+ days a month: [\d.]+% of the simulations reach it\. With these odds you reach [\d.]+ visits/m',
            $told,
        );
        self::assertStringStartsWith('month,item,lead,', $plan);
        [, , $told] = $this->commandApart('reach:plan', [...$options, '--goal' => '5', '--format' => 'json']);
        $lines = array_values(array_filter(explode("\n", $told), static fn(string $line): bool => str_contains($line, 'goal')));
        /** @var array{goal: array{capacity: float, share: float, visits: float, reached: bool}} $goal */
        $goal = json_decode($lines[0], true, 4, JSON_THROW_ON_ERROR);
        self::assertTrue($goal['goal']['reached']);
        self::assertGreaterThanOrEqual(.3, $goal['goal']['share']);
        self::assertGreaterThanOrEqual(5.0, $goal['goal']['visits']);
        // With half a day less it is not reached.
        $capacity = (string) $goal['goal']['capacity'];
        $same = ['slug' => $slug, '--start' => '2026-12', '--months' => '7', '--capacity' => $capacity];
        $asPlanned = $this->command('reach:plan', $same)[1];
        self::assertStringContainsString($plan, $asPlanned);
        self::assertStringContainsString(
            'out of reach: with 60 days a month, 0% of the simulations',
            $this->commandApart('reach:plan', [...$options, '--goal' => '99999'])[2],
        );
    }

    public function test_a_goal_that_is_none_is_refused(): void
    {
        $slug = $this->study()->slug;
        $ask = fn(array $options): array => $this->command('reach:plan', ['slug' => $slug, '--start' => '2026-12', ...$options]);
        self::assertSame(1, $ask(['--goal' => '0', '--until' => '2027-06'])[0]);
        self::assertSame(1, $ask(['--goal' => '10', '--until' => '2026-11'])[0]);
        self::assertSame(1, $ask(['--goal' => '10', '--until' => '2126-11'])[0]);
        self::assertSame(2, $ask(['--goal' => '10'])[0]);
        self::assertSame(2, $ask(['--goal' => 'much', '--until' => '2027-06'])[0]);
        self::assertSame(2, $ask(['--goal' => '10', '--until' => '2027-06', '--odds' => '1'])[0]);
        self::assertSame(2, $ask(['--until' => '2027-06'])[0]);
    }

    public function test_a_wrong_month_or_capacity_is_refused(): void
    {
        $slug = $this->study()->slug;
        self::assertSame(1, $this->command('reach:plan', ['slug' => $slug, '--start' => '2026-13'])[0]);
        self::assertSame(2, $this->command('reach:plan', ['slug' => $slug, '--capacity' => 'much'])[0]);
        self::assertSame(2, $this->command('reach:plan', ['slug' => $slug, '--months' => '0'])[0]);
        self::assertSame(
            "month,item,lead,keywords,own_url,tactic,effort_days,expected_gain,win_chance,publish_by\r\n",
            $this->command('reach:plan', ['slug' => $slug, '--capacity' => '0'])[1],
        );
    }

    public function test_page_one_results_and_own_clicks_reach_links_and_tactic(): void
    {
        $study = $this->study();
        $this->import(
            $study,
            "keyword,position,url,referring domains\nbee hive,1,https://a.example/x,10\nbee hive,2,https://b.example/x,21\nbee "
                ."hive,3,https://c.example/x,\nbee hive,12,https://quillfair.example/hives,5\n",
            'results',
            ['--date' => '2026-11-01'],
        );
        $this->import($study, "query,clicks,impressions,position\nBee  Suit,1,10000,4\n", 'performance');
        [, $csv] = $this->command('reach:weigh', ['slug' => $study->slug]);
        $rows = array_column(self::readCsv($csv), null, 'keyword');
        // The median of 10 and 21 is 15.5, rounded up 16, less the five of our page; the result without a figure is left out.
        self::assertSame('11', $rows['bee hive']['links_to_earn']);
        // One click of ten thousand where the curve has .081: a day on the title is worth more than one on the page.
        self::assertSame('test title', $rows['bee suit']['tactic']);
    }
}
