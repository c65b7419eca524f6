<?php

declare(strict_types=1);

namespace Tests\Core\Intake;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\FileDay;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Intake\NumberFormat;
use GreaterReach\Core\Intake\RowParser;
use GreaterReach\Core\Site\UrlKey;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The last value that is taken and the first that is not. */
final class ValuesAtTheirBordersTest extends TestCase
{
    /** @return iterable<string, array{string, string|int|float, bool}> field, cell, whether it is taken */
    public static function cells(): iterable
    {
        yield 'the best position' => ['position', 1, true];
        yield 'the best position, as text' => ['position', '1', true];
        yield 'better than the best' => ['position', 0, false];
        yield 'no searches' => ['volume', 0, true];
        yield 'fewer than none, as a number' => ['volume', -1, false];
        yield 'no number' => ['volume', NAN, false];
        yield 'more than any number' => ['volume', INF, false];
        yield 'less than any number' => ['difficulty', -INF, false];
        yield 'the hardest' => ['difficulty', 100, true];
        yield 'harder than the hardest' => ['difficulty', 100.5, false];
        yield 'the largest count' => ['volume', '1000000000000000', true];
        yield 'the largest count, as a number' => ['volume', 1e15, true];
        yield 'one more' => ['volume', '1000000000000001', false];
        yield 'more figures than a count has' => ['volume', '9999999999999999', false];
        yield 'part of a search' => ['volume', .5, false];
        yield 'the longest text' => ['title', str_repeat('é', 2000), true];
        yield 'a leap day' => ['date', '2024-02-29', true];
        yield 'a leap day of another year' => ['date', '2026-02-29', false];
        yield 'a day before the year one' => ['date', '0000-01-01', false];
        yield 'the thirteenth month' => ['date', '2026-13-01', false];
        yield 'a letter more' => ['title', str_repeat('é', 2001), false];
    }

    #[DataProvider('cells')]
    public function test_a_cell_is_taken_up_to_its_border(string $field, string|int|float $cell, bool $isTaken): void
    {
        $kind = $field === 'title' ? ImportKind::Results : ImportKind::Rankings;
        $given = ['keyword' => 'pen', 'position' => 1, 'url' => 'https://a.example/', $field => $cell];
        $row = (new RowParser(ColumnPlan::match($kind, array_keys($given)), NumberFormat::Undecided))->parse(2, array_values($given));
        self::assertSame($isTaken, ! $row instanceof BadCell, $row instanceof BadCell ? (string) $row : '');
    }

    public function test_a_bad_cell_names_its_column_and_a_bad_row_none(): void
    {
        self::assertSame('line 3, column "rank": "x" is no number', (string) new BadCell(3, 'rank', 'x', 'is no number'));
        $shown = static fn(string $value): string => (new BadCell(3, 'rank', $value, 'is no number'))->jsonSerialize()['value'];
        self::assertSame(
            [str_repeat('x', 200), str_repeat('x', 199).'…'],
            array_map($shown, [str_repeat('x', 200), str_repeat('x', 201)]),
        );
        self::assertSame('line 3: "x" has 1 cell', (string) new BadCell(3, '', 'x', 'has 1 cell'));
    }

    public function test_a_number_that_is_refused_is_told_as_it_was_written(): void
    {
        $plan = ColumnPlan::match(ImportKind::Rankings, ['keyword', 'position']);
        $told = static function (string|int|float $cell) use ($plan): string {
            $row = (new RowParser($plan, NumberFormat::Undecided))->parse(2, ['pen', $cell]);

            return $row instanceof BadCell ? $row->value : 'taken';
        };
        self::assertSame(
            ['-1000', '0', '0.5', '-2', '999999999999999.5', '-1000000000000000', 'x'],
            array_map($told, [-1e3, 0.0, .5, -2, 999999999999999.5, -1e15, 'x']),
        );
    }

    public function test_an_address_has_at_most_four_thousand_bytes(): void
    {
        $longest = 'https://a.example/'.str_repeat('a', 4000 - \strlen('https://a.example/'));
        self::assertSame($longest, UrlKey::of($longest));
        $this->expectException(InvalidValue::class);
        UrlKey::of($longest.'a');
    }

    public function test_a_name_tells_a_day_of_the_years_that_lists_can_be_of(): void
    {
        self::assertSame('2099-12-31', FileDay::in('ours-2099-12-31.csv')?->day);
        self::assertNull(FileDay::in('ours-2100-01-01.csv'));
        self::assertSame('1990-01-01', FileDay::in('ours-1990-01-01.csv')?->day);
        self::assertNull(FileDay::in('ours-1989-12-31.csv'));
    }

    public function test_a_day_is_one_of_the_calendar_from_the_year_one_on(): void
    {
        $days = ['0001-01-01', '2024-02-29', '9999-12-31'];
        self::assertSame($days, array_map(RowParser::day(...), $days));
        foreach (['0000-01-01', '2023-02-29', '2026-13-01', '2026-00-10', '2026-1-1', '2026-01-01 ', "2026-01-01\n", ''] as $wrong) {
            try {
                RowParser::day($wrong);
                self::fail("\"{$wrong}\" was taken.");
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('isn’t a day like 2026-12-31', $problem->getMessage());
            }
        }
    }
}
