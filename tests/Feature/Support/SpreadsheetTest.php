<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Actions\Work\TaskCancelled;
use App\Support\Pulse;
use App\Support\Tabular\SheetEntries;
use App\Support\Tabular\TableReader;
use GreaterReach\Core\Intake\FileProblem;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Spreadsheets put together by hand, as no program would. */
final class SpreadsheetTest extends TestCase
{
    /** OpenDocument 1.3 part 3, §3.1.3.2: automatic styles may be left out. */
    public function test_an_ods_without_automatic_styles_is_read(): void
    {
        $row = static fn(string ...$cells): string => '<table:table-row>'.
            implode(
                '',
                array_map(
                    static fn(string $cell): string => '<table:table-cell office:value-type="string"><text:p>'.
                        $cell.
                        '</text:p></table:table-cell>',
                    $cells,
                ),
            ).
            '</table:table-row>';
        $table = app(TableReader::class)->open($this->ods($row('keyword', 'position').$row('pen', '3')));
        self::assertSame(['keyword', 'position'], $table->headers());
        self::assertSame([2 => ['pen', '3']], iterator_to_array($table->rows()));
    }

    public function test_the_import_of_such_a_file_keeps_its_rows(): void
    {
        $study = $this->makeStudy();
        $cell = static fn(string $text): string => '<table:table-cell office:value-type="string"><text:p>'.
            $text.
            '</text:p></table:table-cell>';
        $path = $this->ods(
            '<table:table-row>'.
                $cell('keyword').
                $cell('volume').
                '</table:table-row><table:table-row>'.
                $cell('pen').
                $cell('70').
                '</table:table-row>',
        );
        [$code, $printed] = $this->command('reach:import', ['slug' => $study->slug, 'file' => $path, '--kind' => 'keywords']);
        self::assertSame(0, $code, $printed);
        $this->assertDatabaseHas('metrics', ['study_id' => $study->id, 'keyword' => 'pen', 'volume' => 70]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function beyond(): iterable
    {
        yield 'a row beyond the last' => [
            '<row r="1048577"><c r="A1048577" t="inlineStr"><is><t>x</t></is></c></row>',
            'row with the number 1,048,577; a sheet has at most 1,048,576',
        ];
        yield 'a row that would take hours' => ['<row r="2000000000"></row>', 'row with the number 2,000,000,000'];
        yield 'a column beyond the last' => ['<row r="2"><c r="XFE2"><v>1</v></c></row>', 'column with the number 16,385'];
        yield 'a column of six letters' => ['<row r="2"><c r="ZZZZZZ2"><v>1</v></c></row>', 'column with the number'];
    }

    #[DataProvider('beyond')]
    public function test_what_lies_beyond_a_sheet_is_refused_at_once(string $row, string $says): void
    {
        $path = $this->xlsx('<row r="1"><c r="A1" t="inlineStr"><is><t>keyword</t></is></c></row>'.$row);
        $this->expectException(FileProblem::class);
        $this->expectExceptionMessage($says);
        app(TableReader::class)->open($path);
    }

    public function test_the_last_row_and_column_of_a_sheet_are_no_problem(): void
    {
        $path = $this->xlsx(
            '<row r="1"><c r="A1" t="inlineStr"><is><t>keyword</t></is></c></row><row r="3"><c r="A3" '
                .'t="inlineStr"><is><t>pen</t></is></c><c r="XFD3"/></row>',
        );
        self::assertSame([3], array_keys(iterator_to_array(app(TableReader::class)->open($path)->rows())));
    }

    public function test_an_ods_that_repeats_more_than_a_sheet_has_is_refused(): void
    {
        $this->expectExceptionMessage('row with the number 9,000,000');
        app(TableReader::class)->open(
            $this->ods(
                '<table:table-row table:number-rows-repeated="9000000"><table:table-cell '
                    .'office:value-type="string"><text:p>x</text:p></table:table-cell></table:table-row>',
            ),
        );
    }

    /** @return iterable<string, array{string, int}> */
    public static function brokenObjects(): iterable
    {
        yield 'a brace that is missing' => ["{\"keyword\":\"a\"}\n{\"keyword\":\"b\"\n{\"keyword\":\"c\"}\n{\"keyword\":\"d\"}\n", 2];
        yield 'a quote that is missing' => ["{\"keyword\":\"a\"}\n{\"keyword\":\"b}\n{\"keyword\":\"c\"}\n", 2];
        yield 'a value that is missing' => ["{\"keyword\":\"a\"}\n\n{\"keyword\":}\n{\"keyword\":\"c\"}\n", 3];
        yield 'words between' => ["{\"keyword\":\"a\"}\nsome words\n{\"keyword\":\"c\"}\n", 2];
        yield 'words at the end' => ["{\"keyword\":\"a\"}\n{\"keyword\":\"b\"}\nthe end\n\n\n", 3];
        yield 'cut short' => ["{\"keyword\":\"a\"}\n{\"keyword\":\"b\",\n\"volume\":", 2];
    }

    #[DataProvider('brokenObjects')]
    public function test_a_broken_object_is_named_by_the_line_on_which_it_begins(string $text, int $line): void
    {
        $this->expectException(FileProblem::class);
        $this->expectExceptionMessage("line {$line} is incomplete");
        app(TableReader::class)->open($this->makeFile($text, 'list.ndjson'));
    }

    /** @return iterable<string, array{string}> cells of one row */
    public static function tooLong(): iterable
    {
        yield 'one text' => ['<c r="A2" t="inlineStr"><is><t>'.str_repeat('heather ', 90 << 17).'</t></is></c>'];
        yield 'many runs of one text' => ['<c r="A2" t="inlineStr"><is>'.str_repeat('<r><t>heather</t></r>', 4 << 17).'</is></c>'];
        yield 'an attribute' => ['<c r="A2" t="'.str_repeat('heather ', 4 << 17).'"/>'];
    }

    #[DataProvider('tooLong')]
    public function test_a_cell_of_many_megabytes_is_refused_before_it_is_held_in_memory(string $cell): void
    {
        $path = $this->xlsx('<row r="1"><c r="A1" t="inlineStr"><is><t>keyword</t></is></c></row><row r="2">'.$cell.'</row>');
        unset($cell);
        memory_reset_peak_usage();
        $before = memory_get_usage();
        try {
            app(TableReader::class)->open($path);
            self::fail('It was read.');
        } catch (FileProblem $problem) {
            self::assertSame('record_too_long', $problem->problem);
        }
        self::assertLessThan(30 << 20, memory_get_peak_usage() - $before);
    }

    /** @return iterable<string, array{string, string}> */
    public static function repeated(): iterable
    {
        $cell = '<table:table-cell office:value-type="string" table:number-columns-repeated="16384"><text:p>x</text:p></table:table-cell>';
        yield 'cells of one row' => ["<table:table-row>{$cell}{$cell}</table:table-row>", 'beyond_the_sheet'];
        yield 'rows, one lot after the other' => [
            str_repeat('<table:table-row table:number-rows-repeated="900000"><table:table-cell/></table:table-row>', 2),
            'beyond_the_sheet',
        ];
        $cell = str_replace("16384", "9000", $cell);
        yield 'cells of many rows' => [
            "<table:table-row table:number-rows-repeated=\"1048576\">{$cell}</table:table-row>",
            'unpacks_too_large',
        ];
    }

    #[DataProvider('repeated')]
    public function test_what_is_repeated_without_end_is_refused(string $rows, string $problem): void
    {
        try {
            app(TableReader::class)->open($this->ods($rows));
            self::fail('It was read.');
        } catch (FileProblem $told) {
            self::assertSame($problem, $told->problem);
        }
    }

    /** PKWARE APPNOTE 6.3.10, §4.3.7 and §4.3.12: the size before packing stands 22 and 24 bytes after the signatures. */
    public function test_sizes_are_those_that_come_out_and_not_those_the_archive_tells(): void
    {
        $path = $this->xlsx('<row r="1"><c r="A1" t="inlineStr"><is><t>keyword</t></is></c></row>'.str_repeat('<row></row>', 12 << 20));
        $bytes = (string) file_get_contents($path);
        foreach (["PK\3\4" => 22, "PK\1\2" => 24] as $signature => $offset) {
            preg_match_all('/'.preg_quote($signature, '/').'/s', $bytes, $found, PREG_OFFSET_CAPTURE);
            foreach ($found[0] as [, $at]) {
                $bytes = substr_replace($bytes, pack('V', 900), $at + $offset, 4);
            }
        }
        file_put_contents($path, $bytes);
        $this->expectException(FileProblem::class);
        app(TableReader::class)->open($path);
    }

    public function test_whatever_is_broken_in_a_spreadsheet_is_told_in_words(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(20));
        $cells = '<c r="A%1$d" t="inlineStr"><is><t>pen %1$d</t></is></c><c r="B%1$d" t="n"><v>%1$d</v></c>'
            .'<c r="C%1$d" t="d"><v>2026-01-01</v></c>';
        $rows = implode('', array_map(static fn(int $row): string => "<row r=\"{$row}\">".sprintf($cells, $row).'</row>', range(1, 9)));
        for ($try = 0; $try < 400; ++$try) {
            $at = $random->getInt(0, \strlen($rows) - 9);
            $broken = substr_replace($rows, ['<', '"', '&#0;', '>', "\xFF", '999999', ''][$try % 7], $at, $random->getInt(0, 8));
            try {
                $table = app(TableReader::class)->open($this->xlsx($broken));
                self::assertLessThanOrEqual(SheetEntries::MOST_COLUMNS, \count($table->headers()));
                iterator_count($table->rows());
            } catch (FileProblem $problem) {
                self::assertNotSame('', $problem->problem);
            }
        }
    }

    public function test_objects_of_more_names_than_a_list_has_are_refused(): void
    {
        $names = static fn(int $from, int $to): string => '{'.
            implode(',', array_map(static fn(int $n): string => "\"n{$n}\":1", range($from, $to))).'}';
        self::assertCount(1000, app(TableReader::class)->open($this->makeFile($names(1, 1000), 'list.json'))->headers());
        $tries = [
            'names.json' => $names(1, 40_000),
            'one-by-one.json' => implode("\n", array_map(static fn(int $n): string => $names($n, $n), range(1, 1001))),
            'names.csv' => implode(',', range(1, 1001))."\n1\n",
        ];
        foreach ($tries as $name => $text) {
            try {
                app(TableReader::class)->open($this->makeFile($text, $name));
                self::fail('It was read.');
            } catch (FileProblem $problem) {
                self::assertSame('too_many_columns', $problem->problem);
            }
        }
    }

    public function test_a_large_file_can_be_given_up_while_it_is_looked_through(): void
    {
        $path = $this->xlsx(str_repeat('<row><c t="inlineStr"><is><t>keyword</t></is></c></row>', 2000));
        $this->expectException(TaskCancelled::class);
        app(TableReader::class)->open($path, new Pulse(static fn(): never => throw new TaskCancelled()));
    }

    private function ods(string $rows): string
    {
        return $this->zip('list.ods', [
            'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
            'content.xml' =>
                '<?xml version="1.0" encoding="UTF-8"?><office:document-content '
                    .'xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" '
                        .'xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" '
                            .'xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><office:body><office:spreadsheet>'
                            .'<table:table table:name="One">'.
                $rows.
                '</table:table></office:spreadsheet></office:body></office:document-content>',
        ]);
    }

    private function xlsx(string $rows): string
    {
        $main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
        $relations = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

        return $this->zip('list.xlsx', [
            '[Content_Types].xml' =>
                '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default '
                    .'Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" '
                        .'ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override '
                            .'PartName="/xl/worksheets/sheet1.xml" '
                                .'ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>',
            '_rels/.rels' =>
                '<?xml version="1.0"?><Relationships '
                    .'xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="'.
                $relations.
                '/officeDocument" Target="xl/workbook.xml"/></Relationships>',
            'xl/workbook.xml' =>
                '<?xml version="1.0"?><workbook xmlns="'.
                $main.
                '" xmlns:r="'.
                $relations.
                '"><sheets><sheet name="One" sheetId="1" r:id="r1"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' =>
                '<?xml version="1.0"?><Relationships '
                    .'xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="'.
                $relations.
                '/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
            'xl/worksheets/sheet1.xml' =>
                '<?xml version="1.0"?><worksheet xmlns="'.$main.'"><sheetData>'.$rows.'</sheetData></worksheet>',
        ]);
    }

    /** @param array<string, string> $entries */
    private function zip(string $name, array $entries): string
    {
        $path = $this->makeFile('', $name);
        $archive = new \ZipArchive();
        $archive->open($path, \ZipArchive::OVERWRITE);
        foreach ($entries as $entry => $content) {
            $archive->addFromString($entry, $content);
        }
        $archive->close();

        return $path;
    }
}
