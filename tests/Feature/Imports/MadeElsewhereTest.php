<?php

declare(strict_types=1);

namespace Tests\Feature\Imports;

use App\Models\Study;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Files made by R, Python with openpyxl, LibreOffice Calc and psql, in several locales, hold the same list for us. */
final class MadeElsewhereTest extends TestCase
{
    private const LIST = [
        ['1984', 7, 'https://quillfair.example/books', 12500, 61.25, null],
        ['blotting paper', 45, 'https://quillfair.example/paper', null, 9.0, '0.3'],
        ['café chairs', 3, 'https://quillfair.example/cafe', 1234, 20.5, '0.75'],
        ['ink, black', 12, 'https://quillfair.example/ink', 880, 35.0, '1.2'],
    ];

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (glob(__DIR__.'/../../Fixtures/made-elsewhere/*-*') ?: [] as $path) {
            yield basename($path) => [$path];
        }
    }

    #[DataProvider('files')]
    public function test_it_holds_the_same_list(string $path): void
    {
        $study = $this->makeStudy();
        [$code, $printed] = $this->command('reach:import', [
            'slug' => $study->slug,
            'file' => $path,
            '--kind' => 'rankings',
            '--domain' => 'quillfair.example',
            '--date' => '2026-11-01',
        ]);
        self::assertSame(0, $code, $printed);
        self::assertSame(self::LIST, self::kept($study));
    }

    public function test_the_name_of_a_file_decides_nothing(): void
    {
        $study = $this->makeStudy();
        $sheet = (string) file_get_contents(__DIR__.'/../../Fixtures/made-elsewhere/python-typed.xlsx');
        [$code, $printed] = $this->command('reach:import', [
            'slug' => $study->slug,
            'file' => $this->makeFile($sheet, 'really-a-sheet.csv'),
            '--kind' => 'rankings',
            '--domain' => 'quillfair.example',
        ]);
        self::assertSame(0, $code, $printed);
        self::assertCount(4, self::kept($study));
    }

    public function test_a_zip_bomb_is_refused_before_it_unfolds(): void
    {
        $path = $this->makeFile('', 'bomb.xlsx');
        $archive = new \ZipArchive();
        $archive->open($path, \ZipArchive::OVERWRITE);
        $archive->addFromString('xl/workbook.xml', '<workbook/>');
        $archive->addFromString('xl/sharedStrings.xml', str_repeat('<si/>    ', 17 << 20));
        $archive->close();
        $this->refuses($path, 'would unpack to more than');
    }

    public function test_a_gzip_bomb_is_refused_as_it_unfolds(): void
    {
        $this->refuses($this->makeFile((string) gzencode(str_repeat('pen,3'."\n", 20 << 20)), 'bomb.csv.gz'), 'would unpack to more than');
    }

    public function test_formula_cells_are_text(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\n=1+1,3\n@sum(a1),4\n", options: ['--domain' => 'quillfair.example']);
        self::assertSame(['=1+1', '@sum(a1)'], array_column(self::kept($study), 0));
    }

    public function test_a_cell_of_ten_megabytes_is_refused_with_its_line(): void
    {
        $this->refuses($this->makeFile("keyword,position\npen,3\n".str_repeat('x', 10 << 20).",4\n"), 'begins on line 3');
    }

    public function test_a_number_on_a_sheet_needs_no_number_format(): void
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            '[{"keyword": 1984, "position": 3.0, "volume": 1234, "difficulty": 1.234, "m": "x"}, {"keyword": "pen", "position": "12", '
                .'"volume": "1.234", "difficulty": 7}]',
            options: ['--domain' => 'quillfair.example'],
        );
        self::assertSame([['1984', 3, null, 1234, 1.234, null], ['pen', 12, null, 1234, 7.0, null]], self::kept($study));
    }

    private function refuses(string $path, string $because): void
    {
        $study = $this->makeStudy();
        [$code, $printed] = $this->command('reach:import', [
            'slug' => $study->slug,
            'file' => $path,
            '--kind' => 'rankings',
            '--domain' => 'quillfair.example',
        ]);
        self::assertSame(1, $code, $printed);
        self::assertStringContainsString($because, $printed);
        self::assertSame([], self::kept($study));
    }

    /** @return list<list<mixed>> */
    private static function kept(Study $study): array
    {
        $rows = DB::select(
            'SELECT r.keyword, r.position, r.url, m.volume, m.difficulty, trim_scale(m.cpc) AS cpc FROM rankings r LEFT JOIN metrics '
                .'m USING (study_id, keyword) WHERE study_id = ? ORDER BY keyword',
            [$study->id],
        );

        return array_values(
            array_map(
                static fn(\stdClass $row): array => [
                    $row->keyword,
                    $row->position,
                    $row->url,
                    $row->volume,
                    $row->difficulty === null ? null : (float) $row->difficulty,
                    $row->cpc,
                ],
                $rows,
            ),
        );
    }
}
