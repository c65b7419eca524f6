<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\Catalogue\CatalogueEntry;
use App\Support\Catalogue\ColumnType;
use App\Support\Catalogue\RowCatalogue;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** The catalogue of columns and the table are one. */
final class RowCatalogueTest extends TestCase
{
    private const KEPT_AS = [
        ColumnType::Text->value => ['text'],
        ColumnType::Flag->value => ['boolean'],
        ColumnType::Whole->value => ['smallint', 'bigint'],
        ColumnType::Measure->value => ['double precision', 'numeric'],
        ColumnType::Places->value => ['ARRAY'],
    ];

    public function test_the_table_has_every_column_of_the_catalogue_and_no_other(): void
    {
        $table = array_column(
            DB::select("SELECT column_name FROM information_schema.columns WHERE table_name = 'comparison_rows'"),
            'column_name',
        );
        self::assertEqualsCanonicalizing(['study_id', 'comparison_id', ...RowCatalogue::columns()], $table);
    }

    public function test_every_column_is_kept_as_its_type_and_empty_where_it_may_be(): void
    {
        $table = array_column(
            DB::select(
                "SELECT column_name AS name, data_type AS type, is_nullable AS nullable FROM information_schema.columns WHERE "
                    ."table_name = 'comparison_rows'",
            ),
            null,
            'name',
        );
        foreach (RowCatalogue::entries() as $entry) {
            self::assertContains($table[$entry->name]->type, self::KEPT_AS[$entry->type->value], $entry->name);
            self::assertSame($entry->isNullable ? 'YES' : 'NO', $table[$entry->name]->nullable, $entry->name);
        }
    }

    public function test_what_people_see_or_ask_for_says_what_it_is(): void
    {
        foreach (RowCatalogue::entries() as $entry) {
            $column = $entry->column;
            self::assertTrue(! self::isSeen($entry) || ($column->heading !== '' && $column->meaning !== ''), $entry->name);
            self::assertSame($column->heading !== '', $column->from !== null, "Where {$entry->name} comes from is told.");
        }
        $asked = array_filter(array_map(static fn(CatalogueEntry $entry): ?string => $entry->column->asked, RowCatalogue::entries()));
        self::assertSame($asked, array_unique($asked), 'Two columns are called alike.');
    }

    private static function isSeen(CatalogueEntry $entry): bool
    {
        return $entry->column->isRange || $entry->order() !== null || $entry->column->unit !== '';
    }
}
