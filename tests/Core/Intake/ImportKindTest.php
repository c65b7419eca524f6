<?php

declare(strict_types=1);

namespace Tests\Core\Intake;

use GreaterReach\Core\Intake\ImportKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ImportKindTest extends TestCase
{
    /** @return iterable<string, array{list<string>, string, ImportKind}> */
    public static function files(): iterable
    {
        yield 'our own rankings' => [['keyword', 'rank', 'url', 'search volume'], 'export.csv', ImportKind::Rankings];
        yield 'a list with months' => [['keyword', 'volume', 'm1', 'm2'], 'export.csv', ImportKind::Keywords];
        yield 'a list of bare keywords' => [['keyword'], 'export.csv', ImportKind::Keywords];
        yield 'page one by its columns' => [['keyword', 'position', 'url', 'page strength', 'title'], 'export.csv', ImportKind::Results];
        yield 'page one by its name where the columns fit two kinds' => [
            ['keyword', 'position', 'url'],
            'page-one.csv',
            ImportKind::Results,
        ];
        yield 'queries with a rank' => [['Query', 'Rank'], 'export.csv', ImportKind::Rankings];
        yield 'clicks' => [['query', 'clicks', 'impressions', 'position', 'page'], 'export.csv', ImportKind::Performance];
        yield 'domains' => [['domain', 'authority'], 'export.csv', ImportKind::Domains];
        yield 'nothing fits: the name' => [['what', 'ever'], 'keyword-ideas.csv', ImportKind::Keywords];
        yield 'nothing tells' => [['what', 'ever'], 'x.csv', ImportKind::Rankings];
    }

    /** @param list<string> $headers */
    #[DataProvider('files')]
    public function test_the_kind_is_guessed(array $headers, string $name, ImportKind $kind): void
    {
        self::assertSame($kind, ImportKind::guess($headers, $name));
    }

    public function test_the_volumes_of_twelve_months_are_known_by_number_and_by_name(): void
    {
        $fields = array_column(ImportKind::Keywords->fields(), null, 'name');
        $names = ['january' => 'jan', 'june' => 'jun', 'september' => 'sep', 'december' => 'dec'];
        foreach (array_combine(['m1', 'm6', 'm9', 'm12'], array_keys($names)) as $field => $month) {
            self::assertArrayHasKey($field, $fields);
            self::assertSame([true, true], [$fields[$field]->answersTo($month), $fields[$field]->answersTo($names[$month])], $field);
        }
        self::assertSame(range(1, 12), array_values(array_map(
            static fn(string $name): int => (int) substr($name, 1),
            preg_grep('/^m\d+$/D', array_keys($fields)) ?: [],
        )));
    }
}
