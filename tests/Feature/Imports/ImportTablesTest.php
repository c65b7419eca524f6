<?php

declare(strict_types=1);

namespace Tests\Feature\Imports;

use App\Actions\Imports\Loaders;
use App\Actions\Imports\UndoImport;
use App\Models\Import;
use GreaterReach\Core\Intake\ImportKind;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Whoever adds a kind of import is led to every table that it fills. */
final class ImportTablesTest extends TestCase
{
    /** Rows that go with their import by its foreign key, with what hangs on them. */
    private const BY_FOREIGN_KEY = ['domain_figures', 'snapshots', 'sources'];

    public function test_every_table_that_names_an_import_is_known_to_its_loader(): void
    {
        $bearing = DB::table('information_schema.columns as c')
            ->join('pg_class as t', 't.relname', '=', 'c.table_name')
            ->where('c.column_name', 'import_id')
            ->where('c.table_schema', DB::raw('current_schema()'))
            ->where('t.relispartition', false)
            ->distinct()
            ->pluck('c.table_name')
            ->all();
        $views = DB::table('information_schema.views')->where('table_schema', DB::raw('current_schema()'))->pluck('table_name')->all();
        self::assertEqualsCanonicalizing([...Loaders::tables(), ...self::BY_FOREIGN_KEY], array_values(array_diff($bearing, $views)));
    }

    /** @return iterable<string, array{ImportKind}> */
    public static function kinds(): iterable
    {
        foreach (ImportKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_what_a_file_of_its_kind_brought_goes_with_an_undo(ImportKind $kind): void
    {
        $study = $this->makeStudy();
        $before = self::counts($study->id);
        $this->import($study, self::sample($kind), $kind->value);
        self::assertNotSame($before, self::counts($study->id), 'The file brought nothing.');
        app(UndoImport::class)->execute($study->refresh(), Import::query()->where('study_id', $study->id)->sole());
        self::assertSame($before, self::counts($study->id));
    }

    /** A file with one row that fills every required field of the kind. */
    private static function sample(ImportKind $kind): string
    {
        $values = ['keyword' => 'pen', 'query' => 'pen', 'position' => '3', 'url' => 'https://inkmoor.example/pens'];
        $values += ['domain' => 'inkmoor.example', 'clicks' => '4', 'impressions' => '90', 'volume' => '100', 'authority' => '40'];
        $values += ['linking_domain' => 'hobby.example', 'target_url' => 'https://inkmoor.example/pens'];
        $values += ['source_url' => 'https://inkmoor.example/ink'];
        $wanted = array_filter($kind->fields(), static fn($field): bool => $field->isRequired || isset($values[$field->name]));
        $names = array_values(array_map(static fn($field): string => $field->name, $wanted));

        return implode(',', $names)."\n".implode(',', array_map(static fn(string $name): string => $values[$name] ?? '1', $names))."\n";
    }

    /** @return array<string, int> table → rows of the study */
    private static function counts(int $study): array
    {
        $tables = ['imports', 'metrics', 'rankings', 'sources', 'snapshots', ...Loaders::tables()];

        $count = static fn(string $table): int => DB::table($table)->where('study_id', $study)->count();

        return array_combine($tables, array_map($count, $tables));
    }
}
