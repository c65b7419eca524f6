<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Actions\Decisions\DecisionInput;
use App\Actions\Decisions\RecordDecision;
use App\Models\Study;
use App\Support\PostgresStemmer;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** The exports against tests/independent/weigh.py, which computes them a second time without any of the application's code. */
final class IndependentCalculationTest extends TestCase
{
    private const OWN = 'quillfair.example';
    private const RIVALS = ['inkmoor.example', 'nib-house.example', 'blotter.example'];
    private const FIRST = ['buy', 'best', 'how to fill', 'blue', 'cheap', '', 'inkmoor', 'quillfair', "nib house's", 'vintage'];
    private const THINGS = ['pen', 'pens', 'ink', 'nib', 'nibs', 'ink bottle', 'wax seal', 'paper'];
    /** Pages of each domain; later snapshots have some more. */
    private const PAGES = 30;
    private const LAST = ['', 'for sale', 'review', 'ideas', 'set', 'uk'];

    #[DataProvider('seeds')]
    public function test_every_column_of_every_export_agrees(int $seed): void
    {
        mt_srand($seed);
        // Every second study is compared by two or three processes together, as large ones are.
        config($seed % 2 === 0 ? ['reach.rankings_alone' => 1, 'reach.comparison_processes' => 2 + $seed % 4 / 2] : []);
        $folder = sys_get_temp_dir().'/reach-independent-'.getmypid().'-'.$seed;
        mkdir($folder);
        $study = $this->makeStudy(self::RIVALS, self::OWN);
        $files = $this->writeFiles($folder, $seed);
        $setAside = self::some(self::keywords(), 60);
        foreach ($files as $file) {
            $options = array_filter(['--domain' => $file['domain'] ?? null, '--date' => $file['date']]);
            $this->import($study, (string) file_get_contents($folder.'/'.$file['file']), $file['kind'], $options);
        }
        $words = array_values(array_unique(explode(' ', implode(' ', [...self::FIRST, ...self::THINGS, ...self::LAST]))));
        file_put_contents(
            $folder.'/files.json',
            json_encode(
                [
                    'own' => self::OWN,
                    'competitors' => self::RIVALS,
                    'files' => $files,
                    'set_aside' => $setAside,
                    'months' => self::monthsIn($folder.'/months.csv'),
                    'rulebook' => $this->rulebook($study, $seed),
                    'stems' => (new PostgresStemmer('en'))->stems($words),
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
        $expected = json_decode(
            (new Process(['/usr/bin/python3', base_path('tests/independent/weigh.py'), $folder]))->mustRun()->getOutput(),
            true,
            32,
            JSON_THROW_ON_ERROR,
        );

        if ($seed % 2 === 0) {
            $this->setAside($study, $setAside);
        }
        self::assertGreaterThan(0, array_column($expected['model'], 1, 0)['market_pages'], 'Some pages are new.');
        self::assertSameTable($expected['compare'], $this->exported('reach:compare', $study));
        if ($seed % 2 === 1) {
            // Corrected where the keywords are, instead of made anew.
            $this->setAside($study, $setAside);
        }
        self::assertSameTable(
            $expected['weigh'],
            array_map(static fn(array $row): array => \array_slice($row, 1), $this->exported('reach:weigh', $study)),
        );
        self::assertSameTable(
            $expected['pages'],
            array_map(
                static fn(array $row): array => \array_slice($row, 1),
                $this->exported('reach:weigh', $study, ['--by' => 'topic']),
            ),
        );
        $planned = ['--start' => '2026-12', '--months' => '4', '--capacity' => '6'];
        self::assertSameTable($expected['plan'], $this->exported('reach:plan', $study, $planned));
        $told = $this->commandApart('reach:plan', ['slug' => $study->slug, '--format' => 'json', ...$planned])[2];
        self::assertSame($expected['left_out'], $told === '' ? [] : json_decode($told, true, 8, JSON_THROW_ON_ERROR)['left_out']);
        // The mean of the draws lies some tenths above the sum of expected gains.
        foreach ($this->forecast($study) as $month => $mean) {
            self::assertEqualsWithDelta($expected['forecast'][$month], $mean, .05 + .5 * $expected['forecast'][$month], "month {$month}");
        }
        self::assertSameTable($expected['model'], $this->exported('reach:model', $study));
        $topics = array_column($this->exported('reach:topics', $study), 0, 1);
        ksort($topics, SORT_STRING);
        ksort($expected['topics'], SORT_STRING);
        self::assertSame($expected['topics'], $topics);
    }

    /** @return list<float> what the same plan adds on average, put on the roadmap as the auto-plan proposes it, month by month */
    private function forecast(Study $study): array
    {
        $this->actingAs($this->makeEditor($study->refresh()));
        $plan = "/api/v1/studies/{$study->slug}/plan";
        $this->patchJson($plan, ['start' => '2026-12', 'months' => 4, 'capacity' => 6])->assertOk();
        $changes = $this->getJson("{$plan}/proposal")->assertOk()->json('changes');
        self::assertNotSame([], $changes);
        $this->postJson("{$plan}/apply", ['changes' => $changes])->assertOk();

        return array_column($this->getJson($plan)->assertOk()->json('forecast'), 'mean');
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 8) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    /** @return array<string, float|string|array<string, float>> what the study sets other than by default, some in every third one */
    private function rulebook(Study $study, int $seed): array
    {
        if ($seed % 3 !== 1) {
            return [];
        }
        [$code, $said] = $this->command('reach:rulebook', [
            'slug' => $study->slug,
            '--set' => [
                'feature_clicks=answer:.6,video:.8', 'scores=stepped', 'moving_share=.5', 'title_success=.4', 'movement_noise=.1',
                'model_lambda=10',
            ],
        ]);
        self::assertSame(0, $code, $said);

        return [
            'feature_clicks' => ['answer' => .6, 'video' => .8], 'scores' => 'stepped', 'moving_share' => .5, 'title_success' => .4,
            'movement_noise' => .1, 'model_lambda' => 10.0,
        ];
    }

    /** @return array<string, list<int>> keyword → its monthly volumes */
    private static function monthsIn(string $path): array
    {
        $months = [];
        foreach (\array_slice(file($path, FILE_IGNORE_NEW_LINES) ?: [], 1) as $line) {
            $cells = str_getcsv($line, ',', '"', '');
            $months[(string) $cells[0]] = array_map(intval(...), \array_slice($cells, 4));
        }

        return $months;
    }

    /** @param list<string> $keywords */
    private function setAside(Study $study, array $keywords): void
    {
        $order = new DecisionInput($keywords, ['mark' => 'set aside', 'reason' => null]);
        app(RecordDecision::class)->execute($study->refresh(), $order, $this->makeEditor($study)->id);
    }

    /** @return list<string> */
    private static function keywords(): array
    {
        $keywords = [];
        foreach (self::FIRST as $first) {
            foreach (self::THINGS as $thing) {
                foreach (self::LAST as $last) {
                    $keywords[] = trim($first.' '.$thing.' '.$last);
                }
            }
        }

        return $keywords;
    }

    /** @return list<array{kind: string, file: string, date: string, domain?: string}> */
    private function writeFiles(string $folder, int $seed): array
    {
        $keywords = self::keywords();
        $files = [];
        foreach ([self::OWN, ...self::RIVALS] as $domain) {
            foreach (['2026-02-01', '2026-06-20', '2026-10-01', '2026-11-01'] as $date) {
                $files[] = ['kind' => 'rankings', 'file' => "{$domain}-{$date}.csv", 'date' => $date, 'domain' => $domain];
                self::save(
                    $folder."/{$domain}-{$date}.csv",
                    ['keyword', 'position', 'url', 'volume', 'difficulty', 'cpc', 'features'],
                    $this->rankings($keywords, $domain, $date > '2026-03' ? self::PAGES + 6 : self::PAGES),
                );
            }
        }
        $files[] = ['kind' => 'keywords', 'file' => 'keywords.csv', 'date' => '2026-09-01'];
        self::save(
            $folder.'/keywords.csv',
            ['keyword', 'volume', 'difficulty', 'cpc'],
            array_map(
                fn(string $keyword): array => [$keyword, self::maybe(mt_rand(0, 900) * 10), self::maybe(mt_rand(0, 1000) / 10), ''],
                self::some($keywords, 40),
            ),
        );
        $files[] = ['kind' => 'keywords', 'file' => 'months.csv', 'date' => '2026-09-02'];
        self::save(
            $folder.'/months.csv',
            ['keyword', 'volume', 'difficulty', 'cpc', ...array_map(static fn(int $month): string => 'm'.$month, range(1, 12))],
            array_map(
                static fn(string $keyword): array => [
                    $keyword,
                    mt_rand(1, 900) * 10,
                    '',
                    '',
                    ...array_map(static fn(): int => mt_rand(0, 99), range(1, 12)),
                ],
                self::some($keywords, 80),
            ),
        );
        $authorities = array_map(
            static fn(string $domain): array => [$domain, mt_rand(10, 90)],
            $seed % 3 === 0 ? [self::OWN] : [self::OWN, ...self::RIVALS],
        );
        $files[] = ['kind' => 'domains', 'file' => 'domains.csv', 'date' => '2026-11-01'];
        self::save($folder.'/domains.csv', ['domain', 'authority'], $authorities);
        $files[] = ['kind' => 'results', 'file' => 'results.csv', 'date' => '2026-11-01'];
        self::save(
            $folder.'/results.csv',
            ['keyword', 'position', 'url', 'referring_domains'],
            $this->results(self::some($keywords, $seed % 2 === 0 ? 6 : 30)),
        );
        $files[] = ['kind' => 'performance', 'file' => 'performance.csv', 'date' => '2026-11-01'];
        self::save(
            $folder.'/performance.csv',
            ['query', 'clicks', 'impressions', 'position'],
            array_map(
                static fn(string $keyword): array => [
                    $keyword,
                    mt_rand(0, $seed % 4 === 0 ? 60 : 6),
                    mt_rand($seed % 4 === 0 ? 100 : 20, 400),
                    mt_rand(10, $seed % 4 === 0 ? 120 : 400) / 10,
                ],
                self::some($keywords, 150),
            ),
        );

        return $files;
    }

    /**
     * @param list<string> $keywords
     *
     * @return list<list<string|int|float>>
     */
    private function rankings(array $keywords, string $domain, int $pages): array
    {
        $rows = [];
        foreach (self::some($keywords, mt_rand(90, 260)) as $keyword) {
            for ($page = mt_rand(1, 6) === 1 ? 2 : 1; $page > 0; --$page) {
                $url = match (mt_rand(0, 11)) {
                    0 => '',
                    1 => "https://{$domain}/",
                    2 => 'https://elsewhere.example/',
                    default => "https://{$domain}/page-".mt_rand(1, $pages),
                };
                $rows[] = [
                    $keyword,
                    mt_rand(1, mt_rand(1, 3) === 1 ? 110 : 25),
                    $url,
                    self::maybe(mt_rand(0, 300) * 10),
                    self::maybe(mt_rand(0, 1000) / 10),
                    self::maybe(mt_rand(0, 700) / 100),
                    ['', '', '', 'Answer', 'video; answer ;', 'map'][mt_rand(0, 5)],
                ];
            }
        }

        return $rows;
    }

    /**
     * @param list<string> $keywords
     *
     * @return list<list<string|int|float>>
     */
    private function results(array $keywords): array
    {
        $rows = [];
        foreach ($keywords as $keyword) {
            foreach (range(1, 12, 2) as $position) {
                $rows[] = [
                    $keyword,
                    $position,
                    mt_rand(0, 3) === 0 ? 'https://'.self::OWN.'/page-'.mt_rand(1, 20) : "https://other-{$position}.example/",
                    self::maybe(mt_rand(0, 60)),
                ];
            }
        }

        return $rows;
    }

    /**
     * @param list<string> $keywords
     *
     * @return list<string> some of them, in any order
     */
    private static function some(array $keywords, int $count): array
    {
        $keys = (array) array_rand(array_flip($keywords), $count);
        usort($keys, static fn(): int => mt_rand(-1, 1));

        return array_map(strval(...), $keys);
    }

    private static function maybe(int|float $value): int|float|string
    {
        return mt_rand(0, 3) === 0 ? '' : $value;
    }

    /**
     * @param list<string>                 $headings
     * @param list<list<string|int|float>> $rows
     */
    private static function save(string $path, array $headings, array $rows): void
    {
        $file = fopen($path, 'wb') ?: self::fail('No file.');
        foreach ([$headings, ...$rows] as $row) {
            fputcsv($file, $row, ',', '"', '');
        }
        fclose($file);
    }

    /**
     * @param array<string, string> $options
     *
     * @return list<list<mixed>>
     */
    private function exported(string $command, Study $study, array $options = []): array
    {
        [$code, $json] = $this->command($command, ['slug' => $study->slug, '--format' => 'json', ...$options]);
        self::assertSame(0, $code, $json);

        return array_values(array_map(array_values(...), json_decode($json, true, 16, JSON_THROW_ON_ERROR)));
    }

    /**
     * @param list<list<mixed>> $expected
     * @param list<list<mixed>> $actual
     */
    private static function assertSameTable(array $expected, array $actual): void
    {
        self::assertSame(array_column($expected, 0), array_column($actual, 0), 'The same keywords in the same order.');
        foreach ($expected as $number => $row) {
            foreach ($row as $column => $value) {
                $where = $row[0].', column '.$column;
                is_numeric($value)
                    ? self::assertEqualsWithDelta($value, $actual[$number][$column], 1e-6 * max(1, abs((float) $value)), $where)
                    : self::assertSame($value, $actual[$number][$column], $where);
            }
        }
    }
}
