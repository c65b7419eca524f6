<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\PlanItem;
use App\Models\Study;
use Illuminate\Filesystem\Filesystem;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/**
 * Exports are read back by programs that nobody here wrote: openpyxl and LibreOffice for spreadsheets and texts, sabre/vobject for
 * calendars.
 */
final class ExportFormatsTest extends TestCase
{
    private function study(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,volume,difficulty,cpc\n=1+1,12,1000,20.5,0.25\n\"a very long keyword, with; marks and äöü ".
                str_repeat('é', 60).
                "\",14,500,10,\n",
            options: ['--domain' => 'quillfair.example'],
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study));
        $this->actingAs($this->makeEditor($study));

        return $study->refresh();
    }

    public function test_a_spreadsheet_has_typed_cells_a_frozen_heading_and_no_formulas(): void
    {
        $study = $this->study();
        $path = $this->makeFile(
            $this->get("/api/v1/studies/{$study->slug}/exports/weigh.xlsx")
                ->assertOk()
                ->streamedContent(),
            'weigh.xlsx',
        );
        $script =
            'import json,sys,openpyxl; s=openpyxl.load_workbook(sys.argv[1]).active; print(json.dumps([s.freeze_panes, '
                .'s.column_dimensions["B"].width, [[c.value, c.data_type] for c in s[1]][:3], '
                .'[[c.value, c.data_type] for c in next(r for r in s if r[1].value == "=1+1")]]))';
        $read = json_decode(
            (new Process(['/usr/bin/python3', '-c', $script, $path]))->mustRun()->getOutput(),
            true,
            16,
            JSON_THROW_ON_ERROR,
        );
        self::assertSame(['A2', 34], [$read[0], (int) $read[1]]);
        self::assertSame([['rank', 's'], ['keyword', 's'], ['standing', 's']], $read[2]);
        self::assertSame(
            [['=1+1', 's'], ['alone', 's'], [12, 'n'], [3, 'n'], [1000, 'n'], [20.5, 'n'], [0.25, 'n'], [8, 'n']],
            array_slice($read[3], 1, 8),
        );
    }

    public function test_libreoffice_opens_the_spreadsheet_and_finds_the_same_cells_as_the_csv_has(): void
    {
        $study = $this->study();
        $url = "/api/v1/studies/{$study->slug}/exports/weigh";
        $sheet = $this->makeFile($this->get($url.'.xlsx')->assertOk()->streamedContent(), 'opened.xlsx');
        // Comma, double quote, UTF-8, from the first line, no column formats, as quoted text, cell contents as they are.
        $opened = $this->converted($sheet, 'csv:Text - txt - csv (StarCalc):44,34,76,1,,0,false,false,false');
        $csv = self::readCsv((string) $this->get($url.'.csv?guard=0')->assertOk()->streamedContent());
        $read = self::readCsv(str_replace("\n", "\r\n", $opened));
        self::assertSame(array_keys($csv[0]), array_keys($read[0]));
        foreach ($csv as $number => $row) {
            foreach ($row as $column => $value) {
                is_numeric($value)
                    ? self::assertEqualsWithDelta(
                        (float) $value,
                        (float) $read[$number][$column],
                        1e-9 * max(1.0, abs((float) $value)),
                        $column,
                    )
                    : self::assertSame($value, $read[$number][$column]);
            }
        }
    }

    public function test_libreoffice_opens_a_brief_as_a_text_document(): void
    {
        $study = $this->study();
        $this->postJson("/api/v1/studies/{$study->slug}/plan/items", ['keywords' => ['=1+1']])->assertCreated();
        $item = PlanItem::query()->where('study_id', $study->id)->firstOrFail();
        $this->patchJson("/api/v1/studies/{$study->slug}/plan/items/{$item->id}", [
            'version' => 1,
            'brief' => ['angle' => "First <b>line</b> & more\nsecond line"],
        ])->assertOk();
        $bytes = (string) $this->get("/api/v1/studies/{$study->slug}/plan/items/{$item->id}/brief.odt")
            ->assertOk()
            ->getContent();
        self::assertSame(
            'mimetypeapplication/vnd.oasis.opendocument.text',
            substr($bytes, 30, 47),
            'The media type stands plainly at the beginning (ODF 1.2 part 3, section 3.3).',
        );
        $text = $this->converted($this->makeFile($bytes, 'brief.odt'), 'txt:Text (encoded):UTF8');
        foreach (['=1+1', 'Tactic', 'improve page', 'First <b>line</b> & more', 'second line', 'Keywords', '1000'] as $expected) {
            self::assertStringContainsString($expected, $text);
        }
    }

    /** What LibreOffice makes of a file, as text. */
    private function converted(string $path, string $filter): string
    {
        $profile = sys_get_temp_dir().'/reach-office-'.bin2hex(random_bytes(4));
        (new Process(
            [
                'soffice',
                '-env:UserInstallation=file://'.$profile,
                '--headless',
                '--convert-to',
                $filter,
                '--outdir',
                \dirname($path),
                $path,
            ],
            null,
            ['HOME' => sys_get_temp_dir()],
            null,
            120,
        ))->mustRun();
        (new Filesystem())->deleteDirectory($profile);

        return (string) file_get_contents((string) preg_replace('/\.[a-z]+$/D', '.'.strtok($filter, ':'), $path));
    }

    public function test_a_calendar_is_valid_and_keeps_its_uids(): void
    {
        $study = $this->study();
        $read = function () use ($study): VCalendar {
            $text = (string) $this->get("/api/v1/studies/{$study->slug}/exports/plan.ics?start=2026-12")->assertOk()->getContent();
            self::assertLessThanOrEqual(75, max(array_map(strlen(...), explode("\r\n", $text))));
            $calendar = Reader::read($text);
            self::assertInstanceOf(VCalendar::class, $calendar);
            self::assertSame([], $calendar->validate());

            return $calendar;
        };
        [$first, $second] = [$read(), $read()];
        self::assertCount(2, $first->select('VEVENT'));
        $uids = static fn(VCalendar $calendar): array => array_map(
            static fn($event): string => (string) $event->UID,
            array_values($calendar->select('VEVENT')),
        );
        self::assertSame($uids($first), $uids($second));
        $summaries = array_map(static fn($event): string => (string) $event->SUMMARY, array_values($first->select('VEVENT')));
        self::assertContains('Improve page: =1+1', $summaries);
        self::assertStringContainsString('a very long keyword, with; marks and äöü', implode(' ', $summaries));
        self::assertSame('20261201', (string) array_values($first->select('VEVENT'))[0]->DTSTART);
    }

    public function test_a_wrong_plan_is_refused_with_its_field(): void
    {
        $study = $this->study();
        $this->getJson("/api/v1/studies/{$study->slug}/exports/plan.csv?months=0")
            ->assertStatus(422)
            ->assertJsonPath('errors.months.0', fn(string $message): bool => $message !== '');
        $this->getJson("/api/v1/studies/{$study->slug}/exports/plan.doc")->assertStatus(404);
    }
}
