<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Models\Study;
use GreaterReach\Core\Clicks\CtrCurve;
use Tests\TestCase;

/** A small study whose exports were worked out by hand, cell by cell. */
final class ExportsByHandTest extends TestCase
{
    private const OURS_BEFORE = "keyword,position,url\nfountain pen,9,https://quillfair.example/pens\nink "
        ."bottle,30,https://quillfair.example/ink\nwax seal,4,https://quillfair.example/wax\n";
    private const OURS = "Keyword,Position,URL,Volume,KD,CPC\n"
        ."Fountain Pen,12,https://quillfair.example/pens,1000,20,1.60\n"
        ."fountain pen,15,https://quillfair.example/journal/pens,,,\n"
        ."Ink Bottle,8,https://quillfair.example/ink,400,,0.20\n"
        ."quillfair shop,1,https://quillfair.example/,90,5,\n"
        ."nib grinding,101,https://quillfair.example/nibs,70,10,\n"
        ."elsewhere,3,https://other.example/x,70,10,\n";
    private const INKMOOR = "keyword;rank;page;search volume\nfountain pen;3;https://inkmoor.example/fountain-pens;990\nblotting "
        ."paper;5;https://inkmoor.example/blotting;200\nink moor pens;1;https://inkmoor.example/;300\nink "
        ."bottle;8;https://inkmoor.example/inks;400\n";
    private const NIBHOUSE = "keyword\trank\turl\nblotting paper\t2\thttps://www.nibhouse.example/paper\nfountain "
        ."pen\t60\thttps://www.nibhouse.example/pens\n";
    private const LIST = "keyword,volume,difficulty,cpc\nblotting paper,250,60,\nseal stamp,40,12,0.5\nfountain pen,1100,,\n";

    private function study(): Study
    {
        $study = $this->makeStudy();
        $this->import($study, self::OURS_BEFORE, options: ['--domain' => 'quillfair.example', '--date' => '2026-10-01']);
        $this->import($study, self::OURS, options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($study, self::INKMOOR, options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-02']);
        $this->import($study, self::NIBHOUSE, options: ['--domain' => 'nibhouse.example', '--date' => '2026-10-20']);
        $this->import($study, self::LIST, 'keywords', ['--date' => '2026-09-01']);

        return $study;
    }

    public function test_compare(): void
    {
        [$code, $csv] = $this->command('reach:compare', ['slug' => $this->study()->slug]);
        self::assertSame(0, $code);
        // Volume of "fountain pen" is the keyword list's, older though it is; its difficulty comes from our rankings file.
        self::assertSame(
            implode("\r\n", [
                'keyword,standing,own_position,own_url,best_competitor,best_position,competitors_ranking,competitors_above,'
                    .'volume,difficulty,cpc,movement,inkmoor.example,nibhouse.example',
                'blotting paper,gap,,,nibhouse.example,2,2,2,250,60,,,5,2',
                'fountain pen,behind,12,https://quillfair.example/pens,inkmoor.example,3,2,1,1100,20,1.6,slipped,3,60',
                'ink bottle,level,8,https://quillfair.example/ink,inkmoor.example,8,1,0,400,,0.2,climbed,8,',
                'ink moor pens,gap,,,inkmoor.example,1,1,1,300,,,,1,',
                'quillfair shop,alone,1,https://quillfair.example/,,,0,0,90,5,,entered,,',
                'seal stamp,unclaimed,,,,,0,0,40,12,0.5,,,',
                '',
            ]),
            $csv,
        );
    }

    public function test_compare_within_10_as_of_an_earlier_day(): void
    {
        [, $csv] = $this->command('reach:compare', ['slug' => $this->study()->slug, '--within' => '10', '--date' => '2026-10-31']);
        // Only our October snapshot and that of nibhouse stand on or before that day; nothing came before them.
        self::assertSame(
            [
                ['blotting paper', 'gap', '', '2', ''],
                ['fountain pen', 'alone', '9', '', ''],
                ['ink bottle', 'unclaimed', '', '', ''],
                ['seal stamp', 'unclaimed', '', '', ''],
                ['wax seal', 'alone', '4', '', ''],
            ],
            array_map(
                static fn(array $row): array => [
                    $row['keyword'],
                    $row['standing'],
                    $row['own_position'],
                    $row['nibhouse.example'],
                    $row['movement'],
                ],
                self::readCsv($csv),
            ),
        );
    }

    public function test_weigh(): void
    {
        [$code, $csv] = $this->command('reach:weigh', ['slug' => $this->study()->slug]);
        self::assertSame(0, $code);
        $rows = self::readCsv($csv);
        // Left out: ink moor pens (a competitor's brand), quillfair shop (we are first), seal stamp (unclaimed).
        self::assertSame(['fountain pen', 'blotting paper', 'ink bottle'], array_column($rows, 'keyword'));
        $this->assertRow($rows[0], [
            'rank' => 1,
            'standing' => 'behind',
            'own_position' => 12,
            'target' => 3,
            'volume' => 1100,
            'difficulty' => 20,
            'visits_now' => 1100 * 0.008,
            'potential' => 1100 * 0.325,
            'gain' => 1100 * (0.114 - 0.008),
            // A dozen rows are too few for a model: the assumed line around the assumed comfort of 30; .35 of pages move.
            'win_chance' => 0.35 * self::upTo(3, 20) / self::upTo(12, 20),
            'expected_gain' => $expected = 0.35 * 1100 * self::ratesWon(12, 20),
            // A day of work. Expected and worth between 40 and 150: 3 and a part; an open intent: 2.
            'priority' => (6 * (3 + log($expected / 40) / log(150 / 40)) + 2) / 7,
            'horizon' => 'quick win',
            // Two pages of ours within 50 stand in each other's way. Links: e^(.06 · 20) − 1 = 2.32, rounded up.
            'tactic' => 'merge pages',
            'links_to_earn' => 3,
            'intent' => 'open',
            'topic' => 'fountain pen',
        ]);
        $this->assertRow($rows[1], [
            'rank' => 2,
            'standing' => 'gap',
            'own_position' => '',
            'target' => 3,
            'volume' => 250,
            'difficulty' => 60,
            // No other topic shares a word with it: (0 + 1) ÷ (0 + 4).
            'ground' => 0.25,
            'visits_now' => 0,
            'potential' => 81.25,
            'gain' => 28.5,
            'win_chance' => self::upTo(3, 60),
            'expected_gain' => $expected = 250 * self::ratesWon(null, 60),
            // Three days for a new page. Both below the first bounds; an open intent: 2.
            'priority' => (2 * $expected / 2 + 4 * ($expected / 3) / 2 + 2) / 7,
            'horizon' => 'long term',
            'tactic' => 'new page + links',
            'links_to_earn' => 36,
            'intent' => 'open',
            'topic' => 'blotting paper',
        ]);
        $this->assertRow($rows[2], [
            'rank' => 3,
            'standing' => 'level',
            'own_position' => 8,
            'target' => 3,
            'volume' => 400,
            'difficulty' => '',
            'visits_now' => 12.4,
            'potential' => 130,
            'gain' => 33.2,
            'win_chance' => '',
            'expected_gain' => '',
            'priority' => 2,
            'horizon' => '',
            'tactic' => 'improve page',
            'links_to_earn' => '',
            'intent' => 'open',
            'topic' => 'ink bottle',
        ]);
    }

    /** The assumed chance to stand at a place or better: straight lines between the bounds 1, 3, 5, 10, 20, 50 and 100. */
    private static function upTo(int $place, float $difficulty): float
    {
        $bounds = [0 => null, 1 => -2.9, 3 => -1.7, 5 => -1.05, 10 => 0.0, 20 => 0.95, 50 => 1.9, 100 => 2.3];
        $chance = static fn(?float $alpha): float => $alpha === null ? 0.0 : 1 / (1 + exp(-((30 - $difficulty) / 8 + $alpha)));
        $low = $high = 0;
        foreach (array_keys($bounds) as $bound) {
            if ($high < $place) {
                [$low, $high] = [$high, $bound];
            }
        }
        $part = ($place - $low) / max(1, $high - $low);

        return $chance($bounds[$low]) + $part * ($chance($bounds[$high]) - $chance($bounds[$low]));
    }

    /** Σ P(t | no worse than now) · (ctr(t) − ctr(now)). */
    private static function ratesWon(?int $position, float $difficulty): float
    {
        $curve = CtrCurve::default();
        $sum = 0.0;
        for ($place = 1; $place <= ($position ?? 100); ++$place) {
            $chance = self::upTo($place, $difficulty) - self::upTo($place - 1, $difficulty);
            $sum += $chance * ($curve->at($place) - ($position === null ? 0.0 : $curve->at($position)));
        }

        return $sum / ($position === null ? 1.0 : self::upTo($position, $difficulty));
    }

    public function test_weights_of_the_command_reorder_the_list(): void
    {
        [, $csv] = $this->command('reach:weigh', ['slug' => $this->study()->slug, '--weights' => 'gain:1']);
        self::assertEqualsWithDelta(
            [3 + log(116.6 / 75) / log(250 / 75), 2 + log(28.5 / 20) / log(75 / 20), 2 + log(33.2 / 20) / log(75 / 20)],
            array_map(floatval(...), array_column(self::readCsv($csv), 'priority')),
            1e-9,
        );
    }

    public function test_json_carries_the_same_names_and_null_for_unknown(): void
    {
        [, $json] = $this->command('reach:compare', ['slug' => $this->study()->slug, '--format' => 'json']);
        $rows = json_decode($json, true, 8, JSON_THROW_ON_ERROR);
        self::assertSame(
            [
                'keyword' => 'blotting paper',
                'standing' => 'gap',
                'own_position' => null,
                'own_url' => null,
                'best_competitor' => 'nibhouse.example',
                'best_position' => 2,
            ],
            array_slice($rows[0], 0, 6),
        );
        self::assertSame(2, $rows[0]['nibhouse.example']);
    }

    /**
     * @param array<string, string>           $row
     * @param array<string, string|int|float> $expected
     */
    private function assertRow(array $row, array $expected): void
    {
        foreach ($expected as $column => $value) {
            is_string($value)
                ? self::assertSame($value, $row[$column], $column)
                : self::assertEqualsWithDelta($value, (float) $row[$column], 1e-9, $column);
        }
    }
}
