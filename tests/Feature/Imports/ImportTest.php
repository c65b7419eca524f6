<?php

declare(strict_types=1);

namespace Tests\Feature\Imports;

use App\Models\Domain;
use App\Models\Import;
use App\Models\Snapshot;
use App\Models\Study;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class ImportTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function badFiles(): iterable
    {
        yield 'empty' => ['', 'is empty'];
        yield 'blank lines alone' => ["\n  \n", 'is empty'];
        yield 'header only' => ["keyword,position\n", 'no rows'];
        yield 'a required column is missing' => ["keyword,volume\npen,3\n", 'no column for "position"'];
        yield 'a header twice' => ["keyword,position,position\npen,3,4\n", 'two columns for "position"'];
        yield 'NUL bytes' => ["keyword,position\npen\0,3\n", 'NUL bytes'];
        yield 'two encodings' => ["keyword,position\ncafé,3\ncaf\xE9,4\n", 'mixes encodings: line 3'];
        yield 'a spreadsheet cut short' => ["PK\x03\x04rest", 'damaged or incomplete'];
        yield 'a PDF' => ['%PDF-1.7', 'a PDF'];
        yield 'a web page' => ['<html></html>', 'HTML or XML'];
        yield 'JSON that breaks off' => ["[{\"keyword\": \"pen\",\n\"position\": 3", 'line 1 is incomplete'];
        yield 'JSON of no objects' => ['[{"keyword": "pen", "position": 3}, 4]', 'not an object'];
        yield 'an empty JSON list' => ['[]', 'is empty'];
        yield 'a NUL in JSON' => ['[{"keyword": "p\u0000n", "position": 3}]', 'NUL bytes'];
        yield 'a negative number in JSON' => [
            '[{"keyword": "pen", "position": -3}]',
            'line 1, column "position": "-3" isn’t a whole number',
        ];
        yield 'a gzip file cut short' => [substr((string) gzencode(str_repeat('keyword,position', 99)), 0, 30), 'damaged or incomplete'];
        yield 'a bad value' => ["keyword,position\npen,3\nnib,x\n", 'line 3, column "position": "x" isn’t a whole number'];
        yield 'a ragged row' => ["keyword,position\npen\n", 'line 2: "pen" has 1 cells where the header has 2'];
        yield 'a keyword too long' => ["keyword,position\n".str_repeat('x', 401).",3\n", 'longer than 400'];
        yield 'a domain of nobody' => ["keyword,position,domain\npen,3,stranger.example\n", 'is not a domain of this study'];
        yield 'a quote never closed' => ["keyword,position\n\"pen,3\n", 'has 1 cells'];
    }

    #[DataProvider('badFiles')]
    public function test_a_bad_file_is_refused_in_one_line_and_keeps_nothing(string $content, string $says): void
    {
        $study = $this->makeStudy();
        [$code, $printed] = $this->command('reach:import', [
            'slug' => $study->slug,
            'file' => $this->makeFile($content),
            '--kind' => 'rankings',
            '--domain' => 'quillfair.example',
        ]);
        self::assertSame(1, $code);
        self::assertStringContainsString($says, $printed);
        self::assertSame(0, substr_count(trim($printed), "\n"));
        self::assertKept($study, 0, 0);
    }

    public function test_every_bad_row_stands_in_the_report(): void
    {
        $study = $this->makeStudy();
        $report = $this->makeFile('', 'report.csv');
        $content = "keyword,position\n".str_repeat("pen,x\n", 1200)."\"two\nlines\",0\n";
        [$code] = $this->command('reach:import', [
            'slug' => $study->slug,
            'file' => $this->makeFile($content),
            '--kind' => 'rankings',
            '--domain' => 'quillfair.example',
            '--report' => $report,
        ]);
        self::assertSame(1, $code);
        $rows = self::readCsv((string) file_get_contents($report));
        self::assertSame(
            ['line' => '2', 'column' => 'position', 'value' => 'x', 'reason' => 'isn’t a whole number, 0 or more.'],
            $rows[0],
        );
        self::assertCount(1001, $rows);
        self::assertStringContainsString('1201 bad rows', $rows[1000]['reason']);
    }

    public function test_allowed_errors_are_left_out_and_counted(): void
    {
        $study = $this->makeStudy();
        $report = $this->makeFile('', 'report.json');
        $printed = $this->import(
            $study,
            "keyword,position\n\n\"a\nb\",1\nnib,x\npen,3\n",
            options: ['--domain' => 'quillfair.example', '--allow-errors' => '1', '--report' => $report],
        );
        self::assertStringContainsString('2 rows kept, 0 dropped', $printed);
        // A blank line and a keyword on two lines come before it.
        self::assertSame(
            [
                'total' => 1,
                'rows' => [['line' => 5, 'column' => 'position', 'value' => 'x', 'reason' => 'isn’t a whole number, 0 or more.']],
            ],
            json_decode((string) file_get_contents($report), true),
        );
        self::assertKept($study, 1, 2);
    }

    public function test_a_dry_run_keeps_nothing(): void
    {
        $study = $this->makeStudy();
        $printed = $this->import($study, "keyword,position\npen,3\n", options: ['--domain' => 'quillfair.example', '--dry-run' => true]);
        self::assertStringContainsString('nothing saved: 1 rows', $printed);
        self::assertKept($study, 0, 0);
    }

    public function test_the_same_file_replaces_its_snapshot_and_is_recognised(): void
    {
        $study = $this->makeStudy();
        $options = ['--domain' => 'quillfair.example', '--date' => '2026-11-01'];
        $this->import($study, "keyword,position,volume\npen,3,10\nnib,4,20\n", options: $options);
        $again = $this->import($study, "keyword,position,volume\npen,3,10\nnib,4,20\n", options: $options);
        self::assertStringContainsString('This file was imported before', $again);
        self::assertKept($study, 1, 2);
        $this->import($study, "keyword,position,volume\npen,5,30\n", options: $options);
        self::assertKept($study, 1, 1);
        self::assertSame(
            [30],
            DB::table('metrics')
                ->whereIn('source_id', DB::table('live_sources')->where('study_id', $study->id)->pluck('id'))
                ->pluck('volume')
                ->all(),
        );
    }

    public function test_positions_over_100_and_foreign_urls_are_dropped_with_all_they_say(): void
    {
        $study = $this->makeStudy();
        $printed = $this->import(
            $study,
            "keyword,position,url,volume\npen,101,,10\nnib,4,https://stranger.example/,20\n",
            options: ['--domain' => 'quillfair.example'],
        );
        self::assertStringContainsString('0 rows kept, 2 dropped', $printed);
        self::assertKept($study, 1, 0);
        self::assertSame(0, DB::table('metrics')->where('study_id', $study->id)->count());
    }

    public function test_a_file_with_several_domains_and_days_is_split(): void
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position,domain,date\npen,3,quillfair.example,2026-10-01\n"
                ."pen,4,inkmoor.example,2026-10-01\npen,5,quillfair.example,2026-11-01\n",
        );
        self::assertKept($study, 3, 3);
    }

    public function test_a_rankings_file_needs_a_domain(): void
    {
        [$code, $printed] = $this->command('reach:import', [
            'slug' => $this->makeStudy()->slug,
            'file' => $this->makeFile("keyword,position\npen,3\n"),
            '--kind' => 'rankings',
        ]);
        self::assertSame(1, $code);
        self::assertStringContainsString('needs a domain', $printed);
    }

    /** @return iterable<string, array{string}> */
    public static function encodings(): iterable
    {
        $text = "keyword;position\ncafé;3\n";
        yield 'UTF-8' => [$text];
        yield 'UTF-8 with a mark' => ["\u{FEFF}".$text];
        yield 'UTF-16, little end first' => ["\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8')];
        yield 'UTF-16, big end first' => ["\xFE\xFF".mb_convert_encoding($text, 'UTF-16BE', 'UTF-8')];
        yield 'Windows-1252' => [mb_convert_encoding($text, 'Windows-1252', 'UTF-8')];
        yield 'CR LF' => [str_replace("\n", "\r\n", $text)];
        yield 'CR' => [str_replace("\n", "\r", $text)];
        yield 'tabs' => [str_replace(';', "\t", $text)];
        yield 'bars' => [str_replace(';', '|', $text)];
        yield 'no line end at the end' => [rtrim($text)];
    }

    #[DataProvider('encodings')]
    public function test_a_file_is_read_whatever_its_encoding_separator_and_line_end(string $content): void
    {
        $study = $this->makeStudy();
        $this->import($study, $content, options: ['--domain' => 'quillfair.example']);
        self::assertSame(['café'], DB::table('rankings')->where('study_id', $study->id)->pluck('keyword')->all());
    }

    public function test_a_domains_import_updates_and_keeps_candidates_but_adds_no_competitor(): void
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "domain,authority,referring domains,brand terms\nQUILLFAIR.example,53,400,quill "
                ."fair;qf\nstranger.example,70,,\nnibhouse.example,—,9,\n",
            'domains',
        );
        $study->load('domains');
        self::assertSame(
            ['quillfair.example', 'inkmoor.example', 'nibhouse.example'],
            array_map(static fn(Domain $domain): string => $domain->entry, $study->comparedDomains()),
        );
        self::assertSame([53.0, null, null, 70.0], $study->domains->pluck('authority')->all());
        self::assertSame(['quill fair', 'qf'], $study->domains->firstOrFail()->brand_terms);
    }

    public function test_monthly_volumes_stand_in_for_an_unknown_volume(): void
    {
        $study = $this->makeStudy();
        $months = implode(',', array_map(static fn(int $month): string => 'm'.$month, range(1, 12)));
        $this->import(
            $study,
            "keyword,volume,{$months}\npen,n/a,".
                implode(',', array_fill(0, 11, '10')).
                ",16\nnib,n/a,".
                implode(',', array_fill(0, 11, '10')).
                ",-\n",
            'keywords',
        );
        [, $csv] = $this->command('reach:compare', ['slug' => $study->slug]);
        self::assertSame(['nib' => '', 'pen' => '11'], array_column(self::readCsv($csv), 'volume', 'keyword'));
    }

    /** Source: RFC 4180 §2, rules 5 to 7: quoted cells with separators, line breaks and doubled quotes. */
    public function test_quoted_cells_follow_rfc_4180(): void
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position,features\r\n\"aaa\",1,\"b \r\nbb\"\r\n\"a,b\",2,\"say \"\"hi\"\"\"\r\n5\" pen,3,x\r\n",
            options: ['--domain' => 'quillfair.example'],
        );
        self::assertSame(
            ['5" pen' => 'x', 'a,b' => 'say "hi"', 'aaa' => "b \nbb"],
            DB::table('rankings')
                ->where('study_id', $study->id)
                ->orderBy('keyword')
                ->pluck('features', 'keyword')
                ->map(static fn(?string $text): string => str_replace("\r", '', (string) $text))
                ->all(),
        );
    }

    public function test_a_failed_import_leaves_the_earlier_snapshot_alone(): void
    {
        $study = $this->makeStudy();
        $options = ['--domain' => 'quillfair.example', '--date' => '2026-11-01'];
        $this->import($study, "keyword,position\npen,3\n", options: $options);
        [$code] = $this->command('reach:import', [
            'slug' => $study->slug,
            'file' => $this->makeFile("keyword,position\npen,4\nnib,x\n"),
            '--kind' => 'rankings',
            ...$options,
        ]);
        self::assertSame(1, $code);
        self::assertSame([3], DB::table('rankings')->where('study_id', $study->id)->pluck('position')->all());
    }

    private static function assertKept(Study $study, int $snapshots, int $rankings): void
    {
        self::assertSame(
            [$snapshots, $rankings],
            [
                Snapshot::query()->where('study_id', $study->id)->count(),
                DB::table('rankings')
                    ->join('live_snapshots', 'live_snapshots.id', '=', 'snapshot_id')
                    ->where('rankings.study_id', $study->id)
                    ->count(),
            ],
        );
        if ($snapshots === 0) {
            self::assertSame(0, Import::query()->where('study_id', $study->id)->count());
        }
    }
}
