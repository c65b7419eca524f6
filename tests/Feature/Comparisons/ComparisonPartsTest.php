<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\KeyRange;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A comparison made by several processes is the one that a single process makes, to the last digit. */
final class ComparisonPartsTest extends TestCase
{
    private const RIVALS = ['inkmoor.example', 'nibhouse.example'];

    public function test_processes_together_make_the_very_same_comparison(): void
    {
        $study = $this->filled();
        $alone = $this->made($study, 1);
        foreach ([2, 3] as $processes) {
            $together = $this->made($study, $processes);
            self::assertSame(self::rows($alone), self::rows($together));
            self::assertSame(self::topics($alone), self::topics($together));
            self::assertEquals($alone->summary, $together->summary);
        }
    }

    public function test_what_people_decided_reaches_every_process(): void
    {
        $study = $this->filled();
        foreach (['pen 003', 'pen 111', 'pen 198'] as $keyword) {
            DB::table('decisions')->insert([
                'study_id' => $study->id,
                'keyword' => $keyword,
                'fit' => 0,
                'intent' => 'buy',
                'target' => 1,
                'topic' => 'chosen',
            ]);
        }
        $rows = array_column(self::rows($this->made($study, 2)), null, 'keyword');
        foreach (['pen 003', 'pen 111', 'pen 198'] as $keyword) {
            self::assertEquals(
                [0, 'buy', 1, 'chosen'],
                [$rows[$keyword]['score_fit'], $rows[$keyword]['intent'], $rows[$keyword]['target'], $rows[$keyword]['topic']],
            );
        }
        self::assertNotSame('chosen', $rows['pen 004']['topic']);
        $chosen = static fn(array $topics): int => array_column($topics, 'keywords', 'topic')['chosen'];
        DB::table('decisions')->where('study_id', $study->id)->where('keyword', 'pen 111')->update(['mark' => 'set aside']);
        self::assertSame(2, $chosen(self::topics($this->made($study, 2))), 'From wherever they come, they are together.');
    }

    public function test_nothing_is_left_behind(): void
    {
        $before = self::folders();
        $this->made($this->filled(), 2);
        self::assertSame([], array_diff(self::folders(), $before));
    }

    public function test_a_failing_process_fails_the_comparison_and_what_was_on_show_stays(): void
    {
        $study = $this->filled();
        $shown = $this->made($study, 1)->id;
        // The others read the study as it was given to them, so an impossible setting stops them only.
        $folders = self::folders();
        putenv('DB_PASSWORD=wrong');
        $_ENV['DB_PASSWORD'] = 'wrong';
        try {
            $this->made($study, 2);
            self::fail('A comparison without its processes was made.');
        } catch (\RuntimeException $problem) {
            self::assertStringContainsString('A part of the comparison failed', $problem->getMessage());
        } finally {
            putenv('DB_PASSWORD='.config('database.connections.pgsql.password'));
            $_ENV['DB_PASSWORD'] = config('database.connections.pgsql.password');
        }
        self::assertSame($shown, $study->refresh()->comparison_id);
        self::assertSame([], array_diff(self::folders(), $folders));
        self::assertSame($study->id, $this->made($study, 2)->study_id, 'The next attempt finds nothing in its way.');
    }

    public function test_a_comparison_stopped_on_its_way_leaves_neither_processes_nor_files(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        foreach (['quillfair.example', 'inkmoor.example'] as $domain) {
            $this->import(
                $study,
                "keyword,position\n".
                    implode(
                        '',
                        array_map(static fn(int $number): string => "word {$number},".(1 + ($number % 99))."\n", range(1, 6000)),
                    ),
                options: ['--domain' => $domain],
            );
        }
        $folders = self::folders();
        config(['reach.rankings_alone' => 1, 'reach.comparison_processes' => 2]);
        try {
            app(EnsureComparison::class)->execute(
                ComparisonOptions::shownBy($study->refresh()),
                static fn(int $done) => throw new \DomainException("stopped after {$done}"),
            );
            self::fail('Nobody was asked whether to go on.');
        } catch (\DomainException $stop) {
            self::assertStringStartsWith('stopped after ', $stop->getMessage());
        }
        self::assertSame([], self::workers());
        self::assertSame([], array_diff(self::folders(), $folders), 'A folder was left behind.');
        self::assertNull($study->refresh()->comparison_id);
        self::assertSame(0, DB::table('comparisons')->where('study_id', $study->id)->count());
    }

    /** @return list<string> those that comparisons work in */
    private static function folders(): array
    {
        $names = glob(sys_get_temp_dir().'/reach-*', GLOB_ONLYDIR) ?: [];

        return array_values(array_filter($names, static fn(string $name): bool => preg_match('~/reach-[0-9a-f]{16}$~D', $name) === 1));
    }

    /** @return list<string> command lines of processes that this one started for parts of a comparison and that still run */
    private static function workers(): array
    {
        $running = [];
        foreach (glob('/proc/[0-9]*/stat') ?: [] as $path) {
            $stat = (string) @file_get_contents($path);
            $command = str_replace("\0", ' ', (string) @file_get_contents(\dirname($path).'/cmdline'));
            // State and parent stand behind the name, which may hold anything.
            if (
                str_contains($command, 'reach:part') &&
                (int) (explode(' ', substr((string) strrchr($stat, ')'), 2))[1] ?? 0) === getmypid()
            ) {
                $running[] = $command;
            }
        }

        return $running;
    }

    /**
     * @param list<string> $cuts
     * @param list<string> $ends
     */
    #[DataProvider('cuts')]
    public function test_ranges_leave_no_keyword_out_and_share_none(array $cuts, array $ends): void
    {
        $ranges = KeyRange::cutAt($cuts);
        self::assertSame($ends, array_map(static fn(KeyRange $range): string => "{$range->from}…{$range->before}", $ranges));
        foreach (['', 'a', 'b', 'bb', 'm', 'z', 'ü'] as $keyword) {
            $holding = array_filter(
                $ranges,
                static fn(KeyRange $range): bool => ($range->from === null || strcmp($keyword, $range->from) >= 0) &&
                    ($range->before === null || strcmp($keyword, $range->before) < 0),
            );
            self::assertCount(1, $holding, $keyword);
        }
    }

    /** @return iterable<string, array{list<string>, list<string>}> */
    public static function cuts(): iterable
    {
        yield 'none' => [[], ['…']];
        yield 'one' => [['m'], ['…m', 'm…']];
        yield 'two, one of them twice' => [['b', 'b', 'm'], ['…b', 'b…m', 'm…']];
    }

    private function filled(): Study
    {
        $study = $this->makeStudy(self::RIVALS);
        foreach (['quillfair.example', ...self::RIVALS] as $number => $domain) {
            foreach (['2026-10-01', '2026-11-01'] as $day) {
                $lines = 'keyword,position,url,volume,difficulty,cpc';
                for ($keyword = 0; $keyword < 200; ++$keyword) {
                    $draw = crc32("{$domain}{$day}{$keyword}");
                    if ($draw % 4 !== 0) {
                        $lines .= sprintf(
                            "\npen %03d,%d,https://%s/page-%d,%d,%s,%s",
                            $keyword,
                            1 + ($draw % 60),
                            $domain,
                            intdiv($keyword, 3 + $number),
                            $draw % 900,
                            $draw % 7 === 0 ? '' : ($draw % 1000) / 10,
                            $draw % 5 === 0 ? '' : ($draw % 300) / 100,
                        );
                    }
                }
                $this->import($study, $lines."\n", options: ['--domain' => $domain, '--date' => $day]);
            }
        }
        $this->import($study, "keyword,volume\npen 500,70\nnib,\n", 'keywords');

        return $study->refresh();
    }

    private function made(Study $study, int $processes): Comparison
    {
        config(['reach.rankings_alone' => 1, 'reach.comparison_processes' => $processes]);
        // A change of the data, so that the comparison is made anew.
        DB::table('studies')->where('id', $study->id)->increment('data_version');

        return app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
    }

    /** @return non-empty-list<array<string, mixed>> */
    private static function topics(Comparison $comparison): array
    {
        $topics = array_map(
            static fn(\stdClass $topic): array => array_diff_key((array) $topic, ['comparison_id' => 0]),
            array_values($comparison->topicTable()->query()->orderBy('topic')->get()->all()),
        );

        return $topics === [] ? self::fail('There are no topics.') : $topics;
    }

    /** @return list<array<string, mixed>> */
    private static function rows(Comparison $comparison): array
    {
        return array_map(
            static fn(\stdClass $row): array => array_diff_key((array) $row, ['comparison_id' => 0]),
            array_values(
                DB::table('comparison_rows')
                    ->where('study_id', $comparison->study_id)
                    ->where('comparison_id', $comparison->id)
                    ->orderBy('keyword')
                    ->get()
                    ->all(),
            ),
        );
    }
}
