<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

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
        [$code, $csv] = $this->command('reach:plan', [
            'slug' => $study->slug,
            '--months' => '2',
            '--capacity' => '2',
            '--start' => '2026-12',
        ]);
        self::assertSame(0, $code);
        $rows = self::readCsv($csv);
        [, $weighed] = $this->command('reach:weigh', ['slug' => $study->slug]);
        $gains = array_column(self::readCsv($weighed), 'expected_gain', 'keyword');
        // "bee hive": e^(.06·20) − 1 = 2.3, so 3 links and 1.75 days; "bee suit" needs 6 links, 2.5 days, and is spread; "hive kit" 1 link.
        self::assertSame(
            [['2026-12', 'bee hive', '1.75', '2027-02']],
            array_map(
                static fn(array $row): array => [$row['month'], $row['item'], $row['effort_days'], $row['publish_by']],
                array_slice($rows, 0, 1),
            ),
        );
        foreach ($rows as $row) {
            self::assertSame($gains[$row['item']], $row['expected_gain']);
            self::assertLessThanOrEqual(4.0, (float) $row['effort_days']);
        }
    }

    public function test_a_wrong_month_or_capacity_is_refused(): void
    {
        $slug = $this->study()->slug;
        self::assertSame(1, $this->command('reach:plan', ['slug' => $slug, '--start' => '2026-13'])[0]);
        self::assertSame(2, $this->command('reach:plan', ['slug' => $slug, '--capacity' => 'much'])[0]);
        self::assertSame(2, $this->command('reach:plan', ['slug' => $slug, '--months' => '0'])[0]);
        self::assertSame(
            "month,item,topic,tactic,effort_days,expected_gain,win_chance,publish_by\r\n",
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
        $this->import($study, "query,clicks,impressions,position\nBee  Suit,1,100,4\n", 'performance');
        [, $csv] = $this->command('reach:weigh', ['slug' => $study->slug]);
        $rows = array_column(self::readCsv($csv), null, 'keyword');
        // The median of 10 and 21 is 15.5, rounded up 16, less the five of our page; the result without a figure is left out.
        self::assertSame('11', $rows['bee hive']['links_to_earn']);
        // One click of a hundred where the curve has .081: less than seven tenths of it.
        self::assertSame('test title', $rows['bee suit']['tactic']);
    }
}
