<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\Tabular\ReadLimits;
use App\Support\Tabular\TableReader;
use App\Support\Tabular\TableWithHeaderRow;
use App\Support\Tabular\TextTable;
use App\Support\Tabular\UnpackedFile;
use GreaterReach\Core\Intake\FileProblem;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class TextTableTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, array<int, list<string>>}> content, headers, physical line → cells */
    public static function tables(): iterable
    {
        yield 'RFC 4180 §2.1: records on lines of their own' => [
            "a,b\r\naaa,bbb\r\nzzz,yyy\r\n",
            ['a', 'b'],
            [2 => ['aaa', 'bbb'], 3 => ['zzz', 'yyy']],
        ];
        yield 'RFC 4180 §2.2: no line end at the end' => ["a,b\r\naaa,bbb", ['a', 'b'], [2 => ['aaa', 'bbb']]];
        yield 'RFC 4180 §2.4: spaces belong to a cell' => ["a,b\n aaa , bbb\n", ['a', 'b'], [2 => [' aaa ', ' bbb']]];
        yield 'RFC 4180 §2.6: line breaks in quotes, counted as lines' => [
            "a,b\n\"x\ny\nz\",1\nq,2\n",
            ['a', 'b'],
            [2 => ["x\ny\nz", '1'], 5 => ['q', '2']],
        ];
        yield 'RFC 4180 §2.7: doubled quotes' => ["a,b\n\"b\"\"bb\",\"\"\n", ['a', 'b'], [2 => ['b"bb', '']]];
        yield 'a quote inside a bare cell is a character' => [
            "a,b\n5\" pot,6\" pot\n7\" pot,1\n",
            ['a', 'b'],
            [2 => ['5" pot', '6" pot'], 3 => ['7" pot', '1']],
        ];
        yield 'a separator in quotes does not decide' => ["\"a;b;c\",d\n1,2\n", ['a;b;c', 'd'], [2 => ['1', '2']]];
        yield 'blank lines are passed over but counted' => ["\na,b\n\n  \n1,2\n", ['a', 'b'], [5 => ['1', '2']]];
        yield 'a row of separators is not blank' => ["a,b\n,\n", ['a', 'b'], [2 => ['', '']]];
        yield 'tabs' => ["a\tb\n1\t2\n", ['a', 'b'], [2 => ['1', '2']]];
        yield 'one column' => ["a\nx\ny\n", ['a'], [2 => ['x'], 3 => ['y']]];
        yield 'carriage returns alone' => ["a;b\r1;2\r", ['a', 'b'], [2 => ['1', '2']]];
    }

    /**
     * @param list<string>             $headers
     * @param array<int, list<string>> $rows
     */
    #[DataProvider('tables')]
    public function test_a_text_is_a_table(string $content, array $headers, array $rows): void
    {
        $table = TextTable::open($this->makeFile($content), 1000);
        self::assertSame($headers, $table->headers());
        self::assertSame($rows, iterator_to_array($table->rows()));
        self::assertSame($rows, iterator_to_array($table->rows()), 'It can be read again.');
    }

    public function test_a_quote_that_never_closes_is_refused_at_its_line_after_reading_each_line_once(): void
    {
        $content = "a,b\n1,2\n\"never closed,1\n".str_repeat("more\n", 20_000);
        try {
            iterator_to_array(TextTable::open($this->makeFile($content), 1 << 20)->rows());
            self::fail('It was read.');
        } catch (FileProblem $problem) {
            self::assertSame('unclosed_quote', $problem->problem);
            self::assertStringStartsWith('Line 3: ', $problem->getMessage());
        }
    }

    public function test_a_file_packed_more_than_twice_is_refused_and_its_copies_go_with_the_task(): void
    {
        $reader = new TableReader(new ReadLimits(1000, 1 << 20));
        $twice = $this->makeFile((string) gzencode((string) gzencode("a,b\n1,2\n")));
        self::assertSame(['a', 'b'], $reader->open($twice)->headers());
        $before = glob(sys_get_temp_dir().'/reach-*') ?: [];
        UnpackedFile::deleteAll();
        self::assertLessThan(\count($before), \count(glob(sys_get_temp_dir().'/reach-*') ?: []));
        $this->expectExceptionMessage('more than 2 times');
        $reader->open($this->makeFile((string) gzencode((string) gzencode((string) gzencode("a,b\n1,2\n")))));
    }

    public function test_the_header_can_stand_below_a_title(): void
    {
        $table = TableWithHeaderRow::of(TextTable::open($this->makeFile("Export of October\n\nkeyword,rank\nink,3\n"), 1000), 3);
        self::assertSame(['keyword', 'rank'], $table->headers());
        self::assertSame([4 => ['ink', '3']], iterator_to_array($table->rows()));
        $this->expectExceptionMessage('Line 9 is not a row of this file');
        TableWithHeaderRow::of(TextTable::open($this->makeFile("a,b\n1,2\n"), 1000), 9);
    }

    public function test_a_row_too_long_is_refused_with_its_line(): void
    {
        $this->expectException(FileProblem::class);
        $this->expectExceptionMessage('begins on line 2');
        iterator_to_array(TextTable::open($this->makeFile("a,b\n\"never closed,1\n".str_repeat("more text\n", 200)."\"\n"), 1000)->rows());
    }

    public function test_surrogate_pairs_at_the_edge_of_a_chunk_stay_whole(): void
    {
        $text = "keyword\n".str_repeat('x', (1 << 19) - 10)."\n".str_repeat("😀\n", 20);
        $table = TextTable::open($this->makeFile("\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8')), 1 << 20);
        self::assertSame(
            20,
            \count(array_filter(iterator_to_array($table->rows(), false), static fn(array $cells): bool => $cells === ['😀'])),
        );
    }
}
