<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use App\Models\Upload;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** A study is put away by its name, taken back for thirty days, and then gone from every table. */
final class DeletedStudyTest extends TestCase
{
    private function filled(): Study
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position,url,volume\nink,12,https://quillfair.example/ink,400\npens,4,https://quillfair.example/pens,90\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-10-01'],
        );
        $this->command('reach:weigh', ['slug' => $study->slug]);
        DB::table('decisions')->insert(['study_id' => $study->id, 'keyword' => 'ink', 'mark' => 'shortlisted']);

        return $study->refresh();
    }

    public function test_a_study_is_deleted_by_its_name_and_taken_back_as_it_was(): void
    {
        $study = $this->filled();
        $editor = $this->makeEditor($study);
        $before = $this->actingAs($editor)->getJson("/api/v1/studies/{$study->slug}/opportunities")->assertOk()->json();
        $this->deleteJson("/api/v1/studies/{$study->slug}", ['name' => 'Another name'])->assertUnprocessable();
        $this->deleteJson("/api/v1/studies/{$study->slug}", ['name' => 'Pens'])->assertOk();
        $this->getJson("/api/v1/studies/{$study->slug}")->assertNotFound();
        self::assertNotContains($study->slug, array_column((array) $this->getJson('/api/v1/studies')->json('studies'), 'slug'));
        $this->getJson('/api/v1/deleted-studies')->assertOk()->assertJsonFragment(['slug' => $study->slug, 'deleted_by' => $editor->name]);
        $this->postJson('/api/v1/studies', ['slug' => $study->slug, 'name' => 'New', 'domain' => 'quillfair.example'])
            ->assertUnprocessable()->assertJsonFragment(['detail' => "Study \"{$study->slug}\" was deleted and can still be restored. "
                .'Restore it or choose another short name.']);
        $this->postJson("/api/v1/deleted-studies/{$study->slug}/restore")->assertOk();
        self::assertSame($before, $this->getJson("/api/v1/studies/{$study->slug}/opportunities")->assertOk()->json());
    }

    public function test_readers_and_strangers_neither_delete_nor_take_back(): void
    {
        $study = $this->filled();
        $reader = $this->makeEditor($study, 'reader');
        $this->actingAs($reader)->deleteJson("/api/v1/studies/{$study->slug}", ['name' => 'Pens'])->assertForbidden();
        $this->actingAs($this->makeUser())->deleteJson("/api/v1/studies/{$study->slug}", ['name' => 'Pens'])->assertNotFound();
        $this->command('reach:study', ['slug' => $study->slug, '--delete' => true]);
        $this->actingAs($reader)->postJson("/api/v1/deleted-studies/{$study->slug}/restore")->assertForbidden();
        self::assertSame([], $this->getJson('/api/v1/deleted-studies')->assertOk()->json());
        $this->actingAs($this->makeUser())->postJson("/api/v1/deleted-studies/{$study->slug}/restore")->assertNotFound();
        $this->command('reach:study', ['slug' => $study->slug, '--restore' => true]);
        self::assertNotNull($study->fresh());
    }

    public function test_after_thirty_days_nothing_of_it_is_left_and_nothing_of_others_is_missing(): void
    {
        config(['reach.rows_of_a_large_comparison' => 1]);
        $kept = $this->filled();
        $gone = $this->filled();
        $upload = Upload::query()->create([
            'study_id' => $gone->id, 'user_id' => $this->makeUser()->id, 'file_name' => 'a.csv', 'bytes' => 1,
        ]);
        Storage::put(Upload::FOLDER.'/'.$upload->id, 'x');
        $others = self::rowsOf($kept->id);
        $this->command('reach:study', ['slug' => $gone->slug, '--delete' => true]);
        $this->travel(29)->days();
        $this->command('reach:tidy');
        self::assertNotSame([], self::rowsOf($gone->id));
        $this->travel(2)->days();
        $this->command('reach:tidy');
        self::assertSame([], self::rowsOf($gone->id));
        self::assertSame($others, self::rowsOf($kept->id));
        self::assertFalse(Storage::exists(Upload::FOLDER.'/'.$upload->id));
        self::assertNull(DB::scalar('SELECT to_regclass(?)', ["comparison_rows_c{$gone->comparison_id}"]));
        self::assertNotNull(DB::scalar('SELECT to_regclass(?)', ["comparison_rows_c{$kept->comparison_id}"]));
    }

    public function test_files_that_nothing_knows_are_swept_a_day_later(): void
    {
        Storage::put('pulls/left-'.getmypid().'/part.ndjson', '{}');
        Storage::put(Upload::FOLDER.'/left-'.getmypid(), 'x');
        $this->command('reach:tidy');
        self::assertTrue(Storage::exists(Upload::FOLDER.'/left-'.getmypid()), 'It may belong to work under way.');
        foreach (['pulls/left-', Upload::FOLDER.'/left-'] as $left) {
            touch(Storage::path($left.getmypid()), time() - 25 * 3600);
        }
        $this->command('reach:tidy');
        self::assertFalse(Storage::exists(Upload::FOLDER.'/left-'.getmypid()));
        self::assertFalse(Storage::exists('pulls/left-'.getmypid()));
    }

    /** @return array<string, int> table → rows, of those that have any; the record of who did what is kept */
    private static function rowsOf(int $study): array
    {
        $tables = DB::select(<<<'SQL'
            SELECT c.relname AS name FROM pg_class c JOIN pg_attribute a ON a.attrelid = c.oid AND a.attname = 'study_id'
            WHERE c.relkind IN ('r', 'p') AND c.relnamespace = 'public'::regnamespace AND c.relname <> 'audit' ORDER BY 1
            SQL);
        $rows = [];
        foreach ($tables as $table) {
            $rows[(string) $table->name] = DB::table((string) $table->name)->where('study_id', $study)->count();
        }

        return array_filter($rows);
    }
}
