<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\Tabular\TextTable;
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

    public function test_a_row_too_long_is_refused_with_its_line(): void
    {
        $this->expectException(FileProblem::class);
        $this->expectExceptionMessage('begins on line 2');
        iterator_to_array(TextTable::open($this->makeFile("a,b\n\"never closed,1\n".str_repeat("more text\n", 200)), 1000)->rows());
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
