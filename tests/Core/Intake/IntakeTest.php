<?php

declare(strict_types=1);

namespace Tests\Core\Intake;

use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\FieldType;
use GreaterReach\Core\Intake\FileProblem;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Intake\NumberFormat;
use GreaterReach\Core\Intake\NumberFormatDetector;
use GreaterReach\Core\Intake\RowParser;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Golden;

final class IntakeTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>}> */
    public static function numbers(): iterable
    {
        return Golden::cases(__DIR__.'/numbers.txt');
    }

    /** @param array<string, string> $case */
    #[DataProvider('numbers')]
    public function test_a_number_is_read_in_the_format_of_its_file(array $case): void
    {
        self::assertSame($case['shows'], NumberFormat::shownBy($case['cell'])->value ?? 'nothing');
        $formats = ['undecided' => NumberFormat::Undecided, 'point' => NumberFormat::DecimalPoint, 'comma' => NumberFormat::DecimalComma];
        foreach ($formats as $name => $format) {
            $read = array_map(static fn(bool $isWhole): string => (string) ($format->parse($case['cell'], $isWhole) ?? 'x'), [true, false]);
            self::assertSame($case[$name], implode(' ', $read), $name);
        }
    }

    public function test_one_cell_decides_for_the_whole_file(): void
    {
        self::assertSame(NumberFormat::Undecided, self::detect(['1,234', '900']));
        self::assertSame(NumberFormat::DecimalComma, self::detect(['1.234', '0,5']));
        self::assertSame(NumberFormat::DecimalPoint, self::detect(['1,234', '0.5']));
        self::assertSame(NumberFormat::DecimalPoint, self::detect(['1,5', '0.5']), 'Evenly split: the point.');
    }

    public function test_headers_match_without_case_spaces_and_underscores_in_any_order(): void
    {
        $plan = ColumnPlan::match(ImportKind::Rankings, ['KD', 'Search_Volume', ' Rank ', 'KEYWORD', 'whatever', '', '']);
        self::assertSame(
            ['keyword' => 'KEYWORD', 'position' => ' Rank ', 'volume' => 'Search_Volume', 'difficulty' => 'KD'],
            $plan->mapping(),
        );
        self::assertCount(5, $plan->headers, 'Empty headers at the end are dropped.');
    }

    public function test_the_exact_name_beats_a_synonym(): void
    {
        self::assertSame('position', ColumnPlan::match(ImportKind::Rankings, ['rank', 'position', 'keyword'])->mapping()['position']);
    }

    public function test_a_person_settles_what_headers_leave_open(): void
    {
        $plan = ColumnPlan::match(
            ImportKind::Rankings,
            ['Phrase we track', 'pos', 'rank'],
            ['keyword' => 'phrase we track', 'position' => 'rank'],
        );
        self::assertSame(['keyword' => 'Phrase we track', 'position' => 'rank'], $plan->mapping());
    }

    /** @return iterable<string, array{list<string>, array<string, string>, string}> */
    public static function badHeaders(): iterable
    {
        yield 'a required column is missing' => [['keyword', 'volume'], [], 'missing_column'];
        yield 'a used header stands twice' => [['keyword', 'position', 'Position'], [], 'doubled_column'];
        yield 'two synonyms' => [['keyword', 'rank', 'pos'], [], 'doubled_column'];
        yield 'a field that is none' => [['keyword', 'position'], ['luck' => 'keyword'], 'unknown_field'];
        yield 'a header that is not there' => [['keyword', 'position'], ['url' => 'page'], 'unknown_header'];
    }

    /**
     * @param list<string>          $headers
     * @param array<string, string> $mapping
     */
    #[DataProvider('badHeaders')]
    public function test_a_file_with_bad_headers_is_refused(array $headers, array $mapping, string $problem): void
    {
        try {
            ColumnPlan::match(ImportKind::Rankings, $headers, $mapping);
            self::fail('Bad headers were taken.');
        } catch (FileProblem $refused) {
            self::assertSame($problem, $refused->problem);
        }
    }

    public function test_an_unused_header_may_stand_twice(): void
    {
        self::assertSame(
            ['keyword', 'position'],
            array_keys(ColumnPlan::match(ImportKind::Rankings, ['keyword', 'position', 'note', 'note'])->mapping()),
        );
    }

    public function test_a_row_becomes_values(): void
    {
        $values = self::parser()->parse(2, [' “Bee  Hive” ', '12.0', 'HTTPS://A.example:443', 'n/a', '55.5', '—', '']);
        self::assertEquals(
            [
                'keyword' => 'bee hive',
                'position' => 12,
                'url' => 'https://a.example/',
                'volume' => null,
                'difficulty' => 55.5,
                'cpc' => null,
                'date' => null,
            ],
            $values,
        );
    }

    /** @return iterable<string, array{list<string>, string, string}> */
    public static function badRows(): iterable
    {
        $good = ['bee', '3', '', '', '', '', ''];
        yield 'no keyword' => [[...['-'], ...array_slice($good, 1)], 'keyword', 'is required'];
        yield 'no position' => [['bee', 'n/a', '', '', '', '', ''], 'position', 'is required'];
        yield 'position 0' => [['bee', '0', '', '', '', '', ''], 'position', '1 or more'];
        yield 'half a position' => [['bee', '3.5', '', '', '', '', ''], 'position', 'whole number'];
        yield 'a negative volume' => [['bee', '3', '', '-5', '', '', ''], 'volume', 'whole number'];
        yield 'difficulty over 100' => [['bee', '3', '', '', '100.1', '', ''], 'difficulty', 'from 0 to 100'];
        yield 'an exponent' => [['bee', '3', '', '', '', '1e3', ''], 'cpc', 'isn’t a number'];
        yield 'a day that is none' => [['bee', '3', '', '', '', '', '2026-02-30'], 'date', '2026-12-31'];
        yield 'a path for a URL' => [['bee', '3', '/x', '', '', '', ''], 'url', 'full web address'];
        yield 'an abbreviated volume' => [['bee', '3', '', '1.3K', '', '', ''], 'volume', 'write it out (1.3K as 1300)'];
        yield 'a range of volumes' => [['bee', '3', '', '10-100', '', '', ''], 'volume', 'is a range: replace it with one number'];
        yield 'a bound of volumes' => [['bee', '3', '', '<10', '', '', ''], 'volume', 'is a bound: replace it with one number'];
        yield 'a cell too few' => [['bee', '3'], '', 'has 2 cells'];
        yield 'a cell too many' => [[...$good, 'x'], '', 'has 8 cells'];
    }

    /** @param list<string> $cells */
    #[DataProvider('badRows')]
    public function test_a_bad_row_is_told_with_line_column_value_and_reason(array $cells, string $column, string $reason): void
    {
        $bad = self::parser()->parse(7, $cells);
        self::assertInstanceOf(BadCell::class, $bad);
        self::assertSame([7, $column], [$bad->line, $bad->column]);
        self::assertStringContainsString($reason, $bad->reason);
        self::assertStringNotContainsString("\n", (string) $bad);
    }

    public function test_empty_cells_at_the_end_are_forgiven(): void
    {
        self::assertIsArray(self::parser()->parse(2, ['bee', '3', '', '', '', '', '', '', ' ']));
    }

    public function test_brand_terms_are_keys_separated_by_semicolons(): void
    {
        $parser = new RowParser(ColumnPlan::match(ImportKind::Domains, ['domain', 'brand terms']), NumberFormat::Undecided);
        self::assertSame(
            ['domain' => 'a.example', 'brand_terms' => ['ink moor', 'quill']],
            $parser->parse(2, ['A.example', 'Ink Moor; ;QUILL;ink moor']),
        );
    }

    private static function parser(): RowParser
    {
        return new RowParser(
            ColumnPlan::match(ImportKind::Rankings, ['keyword', 'position', 'url', 'volume', 'difficulty', 'cpc', 'date']),
            NumberFormat::DecimalPoint,
        );
    }

    /** @param list<string> $cells */
    private static function detect(array $cells): NumberFormat
    {
        $detector = new NumberFormatDetector();
        array_map($detector->see(...), $cells);

        return $detector->format();
    }

    public function test_positions_and_counts_are_whole_shares_and_amounts_are_not(): void
    {
        $named = static fn(\Closure $is): array => array_values(array_map(
            static fn(FieldType $type): string => $type->name,
            array_filter(FieldType::cases(), $is),
        ));
        self::assertSame(['Position', 'Count'], $named(static fn(FieldType $type): bool => $type->isWhole()));
        self::assertSame(['Position', 'Count', 'Share', 'Amount'], $named(static fn(FieldType $type): bool => $type->isNumeric()));
    }

    public function test_numbers_of_a_row_show_the_format_unless_the_file_types_them(): void
    {
        $plan = ColumnPlan::match(ImportKind::Rankings, ['keyword', 'position', 'cpc', 'difficulty']);
        /** @param list<string|int|float> ...$rows */
        $format = static function (array ...$rows) use ($plan): NumberFormat {
            $detector = new NumberFormatDetector();
            foreach ($rows as $row) {
                $detector->seeRow(array_values($row), $plan);
            }

            return $detector->format();
        };
        self::assertSame(NumberFormat::DecimalComma, $format(['a', '3', '1,5', '20'], ['b', '4', '2', '']));
        self::assertSame(NumberFormat::DecimalPoint, $format(['a', '3', '1.5', '20,5'], ['b', '4', '2.25', '']));
        self::assertSame(NumberFormat::Undecided, $format(['a,5', '3', 1.5, 20], ['b', '4']));
        $detector = new NumberFormatDetector();
        $detector->seeRow(['a', '3', '1,234', '20'], $plan);
        self::assertTrue($detector->isAmbiguous());
        $detector->seeRow(['a', '3', '1,5', '20'], $plan);
        self::assertFalse($detector->isAmbiguous());
    }

    public function test_a_channel_is_one_of_two_and_both_headers_of_a_doubled_column_are_named(): void
    {
        $parser = new RowParser(ColumnPlan::match(ImportKind::Rankings, ['keyword', 'position', 'channel']), NumberFormat::Undecided);
        foreach (['Paid' => 'paid', 'organic' => 'organic'] as $written => $read) {
            $row = $parser->parse(2, ['bee', '3', $written]);
            self::assertSame($read, \is_array($row) ? $row['channel'] : null);
        }
        $bad = $parser->parse(3, ['bee', '3', 'radio']);
        self::assertInstanceOf(BadCell::class, $bad);
        self::assertStringContainsString('is neither organic nor paid', $bad->reason);
        try {
            ColumnPlan::match(ImportKind::Rankings, ['keyword', 'rank', 'pos']);
            self::fail('It was taken.');
        } catch (FileProblem $refused) {
            self::assertMatchesRegularExpression('/rank.*pos/', $refused->getMessage());
        }
    }

    public function test_a_column_that_is_named_for_two_fields_or_stands_twice_is_named_with_its_fellow(): void
    {
        self::assertStringContainsString(
            'two columns for "keyword": "Word" and "word "',
            self::refusal(['Word', 'position', 'word '], ['keyword' => 'Word']),
        );
        self::assertStringContainsString(
            '"Place" and "Place"',
            self::refusal(['word', 'Place'], ['keyword' => 'Place', 'position' => 'Place']),
        );
        self::assertSame('taken', self::refusal(['word', 'Place'], ['keyword' => 'word', 'position' => 'Place']));
    }

    /**
     * @param list<string>          $headers
     * @param array<string, string> $mapping
     */
    private static function refusal(array $headers, array $mapping): string
    {
        try {
            ColumnPlan::match(ImportKind::Rankings, $headers, $mapping);
        } catch (FileProblem $refused) {
            return $refused->getMessage();
        }

        return 'taken';
    }

    public function test_typed_numbers_are_read_without_loss(): void
    {
        $parse = self::parser()->parse(...);
        $read = static fn(int|float $volume, int|float $cpc): array|BadCell => $parse(2, ['bee', 3, '', $volume, '', $cpc, '']);
        $row = $read(1200.0, .25);
        self::assertSame([1200, .25], \is_array($row) ? [$row['volume'], $row['cpc']] : null);
        $bad = $read(1200.5, 1);
        self::assertInstanceOf(BadCell::class, $bad);
        self::assertSame(['volume', '1200.5'], [$bad->column, $bad->value]);
    }

    public function test_the_name_of_a_file_decides_between_equals_and_outweighs_no_column(): void
    {
        $ranked = ['keyword', 'position', 'url'];
        self::assertSame(ImportKind::Results, ImportKind::guess($ranked, 'page-one.csv'));
        self::assertSame(ImportKind::Rankings, ImportKind::guess($ranked, 'list.csv'));
        self::assertSame(ImportKind::Rankings, ImportKind::guess([...$ranked, 'volume'], 'page-one.csv'));
        self::assertSame(ImportKind::Links, ImportKind::guess(['whatever'], 'links-2026.csv'));
        self::assertSame(ImportKind::Rankings, ImportKind::guess(['whatever'], 'list.csv'));
        self::assertSame(ImportKind::Pages, ImportKind::guess(['whatever'], 'pages.csv'));
        self::assertSame(ImportKind::PageLinks, ImportKind::guess(['whatever'], 'internal-links.csv'));
    }

    public function test_pages_and_the_links_between_them_are_known_by_their_columns(): void
    {
        self::assertSame(ImportKind::Pages, ImportKind::guess(['Address', 'Page title', 'Status code', 'Word count'], 'list.csv'));
        self::assertSame(ImportKind::PageLinks, ImportKind::guess(['Source', 'Destination', 'Anchor text'], 'list.csv'));
        // The keyword stands under a foreign name: no list of pages yet.
        self::assertSame(ImportKind::Rankings, ImportKind::guess(['Suchbegriff', 'Position', 'URL', 'Title'], 'list.csv'));
    }

    public function test_yes_and_no_are_read_in_plain_words(): void
    {
        $plan = ColumnPlan::match(ImportKind::Pages, ['url', 'indexable']);
        $parser = new RowParser($plan, NumberFormat::Undecided);
        $read = static fn(string $cell): mixed => [...(array) $parser->parse(2, ['https://a.example/', $cell])]['indexable'] ?? null;
        self::assertSame([true, true, true], array_map($read, ['yes', 'TRUE', '1']));
        self::assertSame([false, false, false], array_map($read, ['No', 'false', 'noindex']));
        self::assertNull($read('n/a'));
        $bad = $parser->parse(2, ['https://a.example/', 'perhaps']);
        self::assertInstanceOf(BadCell::class, $bad);
        self::assertSame('is neither yes nor no.', $bad->reason);
    }
}
