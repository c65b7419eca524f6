<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOrder;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Study;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Exports are read back by programs that nobody here wrote: openpyxl for spreadsheets, sabre/vobject for calendars. */
final class ExportFormatsTest extends TestCase
{
    private function study(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import($study, "keyword,position,volume,difficulty,cpc\n=1+1,12,1000,20.5,0.25\n\"a very long keyword, with; marks and äöü ".str_repeat('é', 60)."\",14,500,10,\n", options: ['--domain' => 'quillfair.example']);
        app(EnsureComparison::class)->execute(ComparisonOrder::shownBy($study));
        $this->actingAs($this->makeEditor($study));

        return $study->refresh();
    }

    public function test_a_spreadsheet_has_typed_cells_a_frozen_heading_and_no_formulas(): void
    {
        $study = $this->study();
        $path = $this->makeFile($this->get("/api/v1/studies/{$study->slug}/exports/weigh.xlsx")->assertOk()->streamedContent(), 'weigh.xlsx');
        $script = 'import json,sys,openpyxl; s=openpyxl.load_workbook(sys.argv[1]).active; print(json.dumps([s.freeze_panes, s.column_dimensions["B"].width, [[c.value, c.data_type] for c in s[1]][:3], [[c.value, c.data_type] for c in s[2]]]))';
        $read = json_decode((new Process(['/usr/bin/python3', '-c', $script, $path]))->mustRun()->getOutput(), true, 16, JSON_THROW_ON_ERROR);
        self::assertSame(['A2', 34], [$read[0], (int) $read[1]]);
        self::assertSame([['rank', 's'], ['keyword', 's'], ['standing', 's']], $read[2]);
        self::assertSame([[1, 'n'], ['=1+1', 's'], ['alone', 's'], [12, 'n'], [3, 'n'], [1000, 'n'], [20.5, 'n'], [8, 'n']], array_slice($read[3], 0, 8));
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
        $uids = static fn(VCalendar $calendar): array => array_map(static fn($event): string => (string) $event->UID, array_values($calendar->select('VEVENT')));
        self::assertSame($uids($first), $uids($second));
        $summaries = array_map(static fn($event): string => (string) $event->SUMMARY, array_values($first->select('VEVENT')));
        self::assertContains('Improve page: =1+1', $summaries);
        self::assertStringContainsString('a very long keyword, with; marks and äöü', implode(' ', $summaries));
        self::assertSame('20261201', (string) array_values($first->select('VEVENT'))[0]->DTSTART);
    }

    public function test_a_wrong_plan_is_refused_with_its_field(): void
    {
        $study = $this->study();
        $this->getJson("/api/v1/studies/{$study->slug}/exports/plan.csv?months=0")->assertStatus(422)->assertJsonPath('errors.months.0', fn(string $message): bool => $message !== '');
        $this->getJson("/api/v1/studies/{$study->slug}/exports/plan.doc")->assertStatus(404);
    }
}
