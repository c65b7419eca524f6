<?php

declare(strict_types=1);

namespace App\Actions\Archive;

use App\Exceptions\UserError;
use App\Models\Study;
use Illuminate\Support\Facades\DB;

/** The rows of a study that is taken in, in a schema of their own, with the numbers of where they came from. */
final readonly class StagedStudy
{
    /** @param string $schema a name of ours, safe in SQL */
    public function __construct(private string $schema)
    {
    }

    /** @throws UserError when the archive holds no study */
    public function makeStudy(string $slug): Study
    {
        $about = implode(', ', StudyTables::ABOUT);
        /** @var ?object{id: int} $made */
        $made = DB::selectOne(
            "INSERT INTO studies (slug, {$about}) SELECT ?, {$about} FROM {$this->schema}.study LIMIT 1 RETURNING id",
            [$slug],
        );

        return Study::query()->findOrFail($made->id ?? throw UserError::because('file', 'The archive contains no study.'));
    }

    /** Gives every row that others name a number of this installation, in the order of the old ones. */
    public function number(): void
    {
        foreach (StudyTables::NUMBERED as $table) {
            $here = "{$this->schema}.{$table}";
            DB::statement("ALTER TABLE {$here} ADD new_id bigint");
            DB::statement(
                "UPDATE {$here} t SET new_id = n.new_id "
                    ."FROM (SELECT id, nextval(pg_get_serial_sequence('public.{$table}', 'id')) AS new_id "
                    ."FROM (SELECT id FROM {$here} ORDER BY id) o) n WHERE n.id = t.id",
            );
        }
        DB::statement("ALTER TABLE {$this->schema}.users ADD new_id bigint");
        DB::statement("UPDATE {$this->schema}.users t SET new_id = u.id FROM public.users u WHERE u.email = t.email");
    }

    /** @return int rows */
    public function bringIn(string $table, int $study): int
    {
        $numbers = StudyTables::numbers()[$table] ?? [];
        $keyed = StudyTables::KEYED[$table] ?? [];
        [$into, $values, $joins] = [[StudyTables::STUDY], [(string) $study], ''];
        foreach (TableColumns::of($table) as $column) {
            $into[] = $column;
            $values[] = match (true) {
                $column === 'id' => 't.new_id',
                isset($numbers[$column]) => "of_{$column}.new_id",
                isset($keyed[$column]) => $this->renamed($column, ...$keyed[$column]),
                default => "t.{$column}",
            };
        }
        foreach ($numbers as $column => $other) {
            $joins .= " LEFT JOIN {$this->schema}.{$other} of_{$column} ON of_{$column}.id = t.{$column}";
        }

        return DB::affectingStatement(
            "INSERT INTO public.{$table} (".implode(', ', $into).') OVERRIDING SYSTEM VALUE SELECT '.implode(', ', $values)
                ." FROM {$this->schema}.{$table} t{$joins}",
        );
    }

    /** An object whose names are numbers of rows, with those of this installation; what is gone since loses its name. */
    private function renamed(string $column, string $path, string $table): string
    {
        $object = "t.{$column} #> '{$path}'";
        $names = "coalesce((SELECT jsonb_object_agg(o.new_id::text, e.value) FROM jsonb_each({$object}) e "
            ."JOIN {$this->schema}.{$table} o ON o.id::text = e.key), '{}')";
        $whole = $path === '{}' ? $names : "jsonb_set(t.{$column}, '{$path}', {$names})";

        return "CASE WHEN jsonb_typeof({$object}) = 'object' THEN {$whole} ELSE t.{$column} END";
    }
}
