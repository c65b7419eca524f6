<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Actions\Archive\StudyTables;
use App\Models\Study;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A study that is given on is the same there to the last byte of every export, and what refers to what still does. */
final class StudyArchiveTest extends TestCase
{
    private Study $study;

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/reach-archive-'.bin2hex(random_bytes(4));
        File::makeDirectory($this->folder);
        $this->study = $this->makeStudy(['inkmoor.example']);
        [$ours, $theirs] = [['--domain' => 'quillfair.example'], ['--domain' => 'inkmoor.example']];
        $day = ['--date' => '2026-10-01'];
        $this->import($this->study, "keyword,position\nwax,2\n", 'rankings', ['--date' => '2026-09-01', ...$theirs]);
        $this->import($this->study, "keyword,position\nink,4\nnib,30\n", 'rankings', [...$ours, ...$day]);
        $this->import($this->study, "keyword,position\nink,9\npaper,2\n", 'rankings', [...$theirs, ...$day]);
        $this->import($this->study, "keyword,position\nink,8\npaper,2\n", 'rankings', [...$theirs, ...$day]);
        $this->import($this->study, "keyword,volume,difficulty\nink,900,40\npaper,300,20\n\"say \"\"ah\"\", \\N\",9,9\n", 'keywords');
        $this->import($this->study, "domain,authority\nquillfair.example,30\ninkmoor.example,44\n", 'domains', $day);
        $this->actingAs($this->makeEditor($this->study));
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $at = "/api/v1/studies/{$this->study->slug}";
        $this->postJson($at.'/decisions', ['keywords' => ['paper'], 'mark' => 'shortlisted', 'tag' => 'for "Wren"'])->assertOk();
        $this->postJson($at.'/plan/items', ['keywords' => ['paper']])->assertSuccessful();
        $this->postJson($at.'/plan/drafts', ['name' => 'Spring'])->assertSuccessful();
        $item = DB::table('plan_items')->where('study_id', $this->study->id)->value('id');
        // What ends a COPY of psql, and whatever else a person can write.
        DB::table('plan_items')->where('id', $item)->update(['writer_note' => "before\n\\.\nafter \"quoted\", 𝛑\r\n\\N"]);
        DB::table('plan_drafts')->where('study_id', $this->study->id)->update(['placements' => json_encode([$item => '2026-12'])]);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_it_is_the_same_where_it_is_taken_in(): void
    {
        $taken = $this->give('study.tar');
        foreach (['reach:compare', 'reach:weigh', 'reach:topics', 'reach:plan', 'reach:findings'] as $command) {
            self::assertSame(
                $this->command($command, ['slug' => $this->study->slug]),
                $this->command($command, ['slug' => $taken->slug]),
                $command,
            );
        }
        foreach (array_keys(StudyTables::numbers()) as $table) {
            $count = static fn(Study $of): int => DB::table($table)->where('study_id', $of->id)->count();
            self::assertSame($count($this->study), $count($taken), $table);
        }
        self::assertSame(0, DB::table('study_members')->where('study_id', $taken->id)->count(), 'Nobody has a role by an archive.');
        self::assertSame([], DB::select("SELECT nspname FROM pg_namespace WHERE nspname LIKE 'taken%'"), 'Nothing is left lying.');
    }

    /** @return iterable<string, array{string}> */
    public static function oddTexts(): iterable
    {
        yield 'the end of a COPY' => ['\\.'];
        yield 'quotes, line breaks and four bytes a character' => ["say \"ah\", 'oh'; then\n\\.\nlast\r\ntwo\rthree\tfour 𝛑 🐝"];
        yield 'null as COPY writes it' => ['\\N'];
    }

    #[DataProvider('oddTexts')]
    public function test_every_text_a_person_enters_survives_the_archive_the_backup_and_the_exports(string $text): void
    {
        $at = "/api/v1/studies/{$this->study->slug}";
        $order = ['keywords' => ['paper'], 'mark' => 'shortlisted', 'reason' => $text, 'note' => $text, 'topic' => $text, 'tag' => $text];
        $this->postJson($at.'/decisions', $order)->assertOk();
        $item = DB::table('plan_items')->where('study_id', $this->study->id)->first(['id', 'version']);
        $changes = ['version' => $item?->version, 'owner' => $text, 'brief' => ['angle' => $text]];
        $this->patchJson("{$at}/plan/items/{$item?->id}", $changes)->assertOk();
        $this->postJson($at.'/plan/drafts', ['name' => $text])->assertSuccessful();
        $texts = static fn(Study $of): array => [
            DB::table('decisions')->where('study_id', $of->id)->where('keyword', 'paper')->get(['reason', 'note', 'topic'])->all(),
            DB::table('tags')->where('study_id', $of->id)->orderBy('tag')->pluck('tag')->all(),
            DB::table('plan_items')->where('study_id', $of->id)->get(['owner', 'brief', 'writer_note'])->all(),
            DB::table('plan_drafts')->where('study_id', $of->id)->orderBy('name')->pluck('name')->all(),
        ];
        $entered = $texts($this->study);
        self::assertEquals($entered, $texts($this->give('study.tar')));
        foreach (['compare.csv', 'weigh.json', 'plan.xlsx', 'roadmap.csv', 'roadmap.json', 'roadmap.ics', 'review.html'] as $export) {
            $this->get("{$at}/exports/{$export}")->assertOk();
        }
        $backup = $this->folder.'/backup.tar';
        self::assertSame(0, $this->command('reach:backup', ['file' => $backup])[0]);
        DB::table('plan_items')->where('study_id', $this->study->id)->update(['owner' => 'changed']);
        [$code, $told] = $this->command('reach:restore', ['file' => $backup, '--keep' => $this->folder.'/before.tar']);
        self::assertSame(0, $code, $told);
        self::assertEquals($entered, $texts($this->study));
    }

    public function test_what_names_another_row_names_the_one_of_here(): void
    {
        $taken = $this->give('study.tar');
        $items = DB::table('plan_items')->where('study_id', $taken->id)->pluck('id')->map(strval(...))->all();
        $draft = DB::table('plan_drafts')->where('study_id', $taken->id)->value('placements');
        self::assertSame($items, array_map(strval(...), array_keys((array) json_decode((string) $draft, true))));
        $domains = DB::table('domains')->where('study_id', $taken->id)->pluck('id')->all();
        $named = DB::table('snapshots')->where('study_id', $taken->id)->pluck('domain_id')->all();
        self::assertSame([], array_diff($named, $domains));
        $import = DB::table('imports')->where('study_id', $taken->id)->where('kind', 'domains')->value('before');
        self::assertSame([], array_diff(array_keys((array) json_decode((string) $import, true)), $domains));
        $by = DB::table('decisions')->where('study_id', $taken->id)->value('updated_by');
        self::assertNotNull($by, 'Who is known here by the address.');

        // The list that was replaced counts again when what replaced it is undone.
        $last = DB::table('imports')->where('study_id', $taken->id)->where('kind', 'rankings')->max('id');
        $this->actingAs($this->makeEditor($taken));
        $this->deleteJson("/api/v1/studies/{$taken->slug}/imports/{$last}")->assertOk();
        $rows = fn(Study $of): array => self::readCsv($this->command('reach:compare', ['slug' => $of->slug])[1]);
        $best = static fn(Study $of): string => array_column($rows($of), 'best_position', 'keyword')['ink'];
        self::assertSame(['8', '9'], [$best($this->study), $best($taken)]);
    }

    /** Whoever adds a table or a column to a study says here what becomes of it. */
    public function test_every_table_of_a_study_is_given_on_or_stays_behind_on_purpose(): void
    {
        $tables = array_column(DB::select(
            "SELECT relname AS name FROM pg_class JOIN pg_attribute ON attrelid = pg_class.oid AND attname = 'study_id' "
                ."WHERE relkind IN ('r', 'p') AND NOT relispartition AND relnamespace = 'public'::regnamespace "
                ."AND relname NOT LIKE 'comparison_rows_%'",
        ), 'name');
        self::assertEqualsCanonicalizing($tables, [...array_keys(StudyTables::numbers()), ...StudyTables::LEFT]);
        $named = DB::select(
            'SELECT conrelid::regclass::text AS in, attname AS by, confrelid::regclass::text AS to FROM pg_constraint '
                ."JOIN pg_attribute ON attrelid = conrelid AND attnum = ANY (conkey) WHERE contype = 'f' AND conparentid = 0",
        );
        foreach ($named as $key) {
            if (isset(StudyTables::numbers()[$key->in]) && $key->by !== 'study_id') {
                self::assertSame($key->to, StudyTables::numbers()[$key->in][$key->by] ?? null, "{$key->in}.{$key->by}");
            }
        }
    }

    public function test_what_is_damaged_or_of_another_version_makes_nothing(): void
    {
        $file = $this->folder.'/study.tar';
        $this->command('reach:give', ['slug' => $this->study->slug, 'file' => $file]);
        $bytes = (string) file_get_contents($file);
        $refused = function (string $bytes, string $because, string $name = 'other'): void {
            file_put_contents($this->folder.'/odd.tar', $bytes);
            [$code, $told] = $this->command('reach:take', ['file' => $this->folder.'/odd.tar', '--name' => $name]);
            self::assertSame(1, $code);
            self::assertStringContainsString($because, $told);
            self::assertFalse(Study::query()->where('slug', 'other')->exists());
        };
        $refused('no archive', 'read this file');
        $refused(str_replace('paper', 'PAPER', $bytes), 'differs from its manifest');
        $refused(str_replace('greater-reach-study-1', 'greater-reach-study-9', $bytes), 'not a study archive');
        $refused(str_replace('"schema": "2026', '"schema": "2025', $bytes), 'The archive has version');
        $refused($bytes, 'already exists here', $this->study->slug);
        $refused($bytes, 'the name isn', 'No Name');
    }

    private function give(string $name): Study
    {
        $file = $this->folder.'/'.$name;
        [$code, $told] = $this->command('reach:give', ['slug' => $this->study->slug, 'file' => $file]);
        self::assertSame(0, $code, $told);
        [$code, $told] = $this->command('reach:take', ['file' => $file, '--name' => $this->study->slug.'-there']);
        self::assertSame(0, $code, $told);

        return Study::query()->where('slug', $this->study->slug.'-there')->firstOrFail();
    }
}
