<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Work\PerformTask;
use App\Actions\Work\TaskLock;
use App\Models\Snapshot;
use App\Models\Study;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskStatus;
use App\Models\Upload;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

final class UploadsAndTasksTest extends TestCase
{
    public function test_an_upload_proposes_what_it_is_from_name_and_content(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        self::assertSame(
            [
                'kind' => 'rankings', 'domain' => 'nibhouse.example', 'date' => '2026-10-01', 'channel' => 'paid',
                'leave_out' => false, 'skip_bad_rows' => false,
            ],
            $this->upload($study, "keyword,rank\npen,3\n", 'paid-nibhouse.example-2026-10-01.csv')['proposal'],
        );
        self::assertSame(
            [
                'kind' => 'rankings', 'domain' => 'inkmoor.example', 'date' => '', 'channel' => 'organic',
                'leave_out' => false, 'skip_bad_rows' => false,
            ],
            $this->upload($study, "keyword,rank,url\npen,3,https://www.inkmoor.example/a\n", 'export.csv')['proposal'],
        );
        self::assertSame('performance', $this->upload($study, "query,clicks,impressions,position\npen,3,9,2.5\n")['proposal']['kind']);
        self::assertSame(
            'results',
            $this->upload($study, "keyword,position,url,authority,page strength\npen,3,https://a.example/,4,5\n")['proposal']['kind'],
        );
        self::assertSame('domains', $this->upload($study, "domain,authority,referring domains\na.example,3,4\n")['proposal']['kind']);
        self::assertSame('keywords', $this->upload($study, "keyword,volume,cpc\npen,3,4\n")['proposal']['kind']);
    }

    public function test_a_name_in_short_tells_the_domain_where_nothing_else_does(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $ours = $this->upload($study, "keyword,position\npen,3\n", 'ours.csv');
        self::assertSame('quillfair.example', $ours['proposal']['domain']);
        self::assertSame(['"ours" in its name is read as quillfair.example.'], $ours['notes']);
        $theirs = $this->upload($study, "Phrase looked for;Place\npen;3\n", 'nibhouse.csv');
        self::assertSame('nibhouse.example', $theirs['proposal']['domain'], 'Whatever its headers are.');
        $byAddress = $this->upload($study, "keyword,position,url\npen,3,https://nibhouse.example/pens\n", 'ours.csv');
        self::assertSame(['nibhouse.example', []], [$byAddress['proposal']['domain'], $byAddress['notes']], 'Its rows know better.');
        $byItself = $this->upload($study, "domain,keyword,position\nnibhouse.example,pen,3\n", 'ours.csv');
        self::assertSame(['', []], [$byItself['proposal']['domain'], $byItself['notes']], 'Its rows say it themselves.');
    }

    public function test_a_file_of_the_next_month_takes_the_choices_of_the_last(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $first = $this->upload($study, "keyword,position\npen,3\n", 'theirs-2026-10.csv');
        self::assertSame(['', '2026-10-01'], [$first['proposal']['domain'], $first['proposal']['date']]);
        self::assertSame(['"2026-10" in its name is read as 2026-10-01.'], $first['notes']);
        $this->postJson("/api/v1/studies/{$study->slug}/imports", [
            'upload' => $first['id'], 'kind' => 'rankings', 'domain' => 'inkmoor.example', 'date' => '2026-10-01', 'channel' => 'paid',
        ])->assertStatus(202);
        $next = $this->upload($study, "keyword,position\npen,4\n", 'theirs-2026-11.csv');
        self::assertSame(
            [
                'kind' => 'rankings', 'domain' => 'inkmoor.example', 'date' => '2026-11-01', 'channel' => 'paid',
                'leave_out' => false, 'skip_bad_rows' => false,
            ],
            $next['proposal'],
        );
        self::assertStringContainsString('Same settings as "theirs-2026-10.csv".', implode(' ', $next['notes']));
        $other = $this->upload($study, "query,clicks,impressions,position\npen,3,9,2.5\n", 'theirs-2026-12.csv');
        self::assertSame('performance', $other['proposal']['kind'], 'Kind of file decides where it fits no more.');
    }

    public function test_a_header_that_is_nearly_a_field_is_not_dropped_without_a_word(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $task = $this->order($study, 'imports/preview', "keyword,position,authority of it,crawl date\npen,3,4,x\n");
        self::assertEquals([['header' => 'crawl date', 'field' => 'date']], $task['result']['preview']['nearly']);
        self::assertContains(
            'The column "crawl date" is not used. It may be the field "date".',
            $task['result']['preview']['outcome']['notes'],
        );
    }

    public function test_a_preview_shows_columns_problems_and_changes_and_keeps_nothing(): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study));
        $preview = $this->order($study, 'imports/preview', "Phrase we track;rank\npen;3\nnib;x\n", [
            'mapping' => ['keyword' => 'Phrase we track'],
        ]);
        self::assertSame('done', $preview['status']);
        self::assertSame(
            ['CSV with semicolons', 'Phrase we track', 3],
            [
                $preview['result']['preview']['format'],
                $preview['result']['preview']['mapping']['keyword'],
                $preview['result']['preview']['bad_rows']['rows'][0]['line'],
            ],
        );
        $changes = $this->order($study, 'imports/preview', "keyword,position\npen,3\nwax,4\n", ['date' => '2026-11-01']);
        self::assertEquals(['new' => 1, 'updated' => 1, 'gone' => 1], $changes['result']['preview']['outcome']['changes']);
        self::assertSame(['pen', 'pencil'], $this->ownKeywords($study));
    }

    public function test_a_mapping_with_a_column_missing_keeps_the_columns_that_were_chosen(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $content = "Begriff;Platz;Suchvolumen\npen;3;90\n";
        $preview = function (array $mapping) use ($study, $content): array {
            return $this->order($study, 'imports/preview', $content, ['mapping' => $mapping])['result']['preview'];
        };
        self::assertSame(['volume' => 'Suchvolumen'], $preview(['volume' => 'Suchvolumen'])['mapping']);
        $two = ['volume' => 'Suchvolumen', 'keyword' => 'Begriff'];
        self::assertEquals($two, $preview($two)['mapping']);
        self::assertNull($preview([...$two, 'position' => 'Platz'])['problem']);
    }

    public function test_the_header_row_can_lie_below_a_title(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $content = "Export of November;;\n;;\nkeyword;position;volume\npen;3;90\n";
        self::assertSame('failed', $this->order($study, 'imports', $content)['status']);
        self::assertSame('done', $this->order($study, 'imports', $content, ['header_line' => 3])['status']);
        self::assertSame(['pen'], $this->ownKeywords($study));
    }

    public function test_a_file_left_out_and_skipped_bad_rows_are_remembered_for_the_next_month(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $first = $this->upload($study, "keyword,position\npen,x\nnib,3\n", 'lost-2026-10.csv');
        $this->patchJson("/api/v1/studies/{$study->slug}/uploads/{$first['id']}", ['leave_out' => true])->assertOk();
        $this->postJson("/api/v1/studies/{$study->slug}/imports", [
            'upload' => $first['id'], 'kind' => 'rankings', 'domain' => 'inkmoor.example', 'date' => '2026-10-01', 'allow_errors' => 1,
        ])->assertStatus(202);
        $next = $this->upload($study, "keyword,position\npen,3\n", 'lost-2026-11.csv')['proposal'];
        self::assertSame([true, true], [$next['leave_out'], $next['skip_bad_rows']]);
        self::assertFalse($this->upload($study, "keyword,position\npen,3\n", 'other-2026-11.csv')['proposal']['leave_out']);
    }

    public function test_an_import_makes_the_comparison_anew_and_throws_the_upload_away(): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study));
        $before = $study->comparison_id;
        $task = $this->order($study, 'imports', "keyword,position\npen,3\n", ['domain' => 'nibhouse.example']);
        self::assertSame(['done', 1], [$task['status'], $task['result']['outcome']['kept']]);
        self::assertNotSame($before, $study->refresh()->comparison_id);
        self::assertSame(0, Upload::query()->where('study_id', $study->id)->count());
        $this->getJson("/api/v1/studies/{$study->slug}/comparison")->assertOk()->assertJsonPath('is_current', true);
    }

    public function test_a_refused_import_says_why_and_its_bad_rows_can_be_fetched(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $task = $this->order($study, 'imports', "keyword,position\npen,x\nink,=1+1\n");
        self::assertSame('failed', $task['status']);
        self::assertStringContainsString('line 2', $task['message']);
        self::assertStringContainsString(
            '2,position,x,',
            $rows = (string) $this->get("/api/v1/studies/{$study->slug}/tasks/{$task['id']}/bad-rows.csv")
                ->assertOk()
                ->getContent(),
        );
        self::assertStringContainsString("3,position,'=1+1,", $rows, 'No spreadsheet runs it.');
        self::assertSame(
            1,
            Upload::query()->where('study_id', $study->id)->count(),
            'The file stays, so that the bad rows can be left out.',
        );
    }

    public function test_a_mapping_is_remembered_for_the_same_header(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->order($study, 'imports', "What,rank\npen,3\n", ['mapping' => ['keyword' => 'What']]);
        self::assertSame('done', $this->order($study, 'imports', "what,RANK\nnib,4\n", ['date' => '2026-12-01'])['status']);
        self::assertSame('failed', $this->order($study, 'imports', "what else,rank\nnib,4\n")['status']);
    }

    public function test_an_undo_brings_back_what_was_replaced(): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study));
        $this->order($study, 'imports', "keyword,position,volume\nwax,4,70\n", ['date' => '2026-11-01']);
        self::assertSame(['wax'], $this->ownKeywords($study));
        $import = $this->getJson("/api/v1/studies/{$study->slug}/imports")->json('0.id');
        $this->deleteJson("/api/v1/studies/{$study->slug}/imports/{$import}")->assertOk();
        self::assertSame(['pen', 'pencil'], $this->ownKeywords($study));
        self::assertSame(0, DB::table('metrics')->where('study_id', $study->id)->where('keyword', 'wax')->count());
        $this->getJson("/api/v1/studies/{$study->slug}/comparison")->assertJsonPath('is_current', true);
    }

    public function test_an_undo_of_figures_about_domains_puts_the_old_ones_back(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "domain,authority\ninkmoor.example,41\n", 'domains');
        $this->import($study, "domain,authority\ninkmoor.example,55\nstranger.example,9\n", 'domains');
        $this->actingAs($this->makeEditor($study));
        [$newer, $older] = array_column($this->getJson("/api/v1/studies/{$study->slug}/imports")->json(), 'id');
        $this->deleteJson("/api/v1/studies/{$study->slug}/imports/{$older}")->assertStatus(422);
        $this->deleteJson("/api/v1/studies/{$study->slug}/imports/{$newer}")->assertOk();
        self::assertSame(
            [['inkmoor.example', 41.0]],
            $study
                ->refresh()
                ->domains->whereNotNull('authority')
                ->map(static fn($domain): array => [$domain->entry, $domain->authority])
                ->values()
                ->all(),
        );
        self::assertNull($study->domains->firstWhere('entry', 'stranger.example'));
    }

    public function test_a_list_imported_again_and_undone_counts_as_before(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,volume\npen,10\n", 'keywords');
        $this->import($study, "keyword,volume\npen,10\n", 'keywords');
        $live = static fn(): int => DB::table('live_sources')->where('study_id', $study->id)->count();
        self::assertSame(1, $live());
        $this->actingAs($this->makeEditor($study))
            ->deleteJson("/api/v1/studies/{$study->slug}/imports/".$this->getJson("/api/v1/studies/{$study->slug}/imports")->json('0.id'))
            ->assertOk();
        self::assertSame(1, $live());
    }

    public function test_what_waits_can_be_cancelled_and_never_begins(): void
    {
        Queue::fake();
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $task = $this->order($study, 'imports', "keyword,position\npen,3\n");
        self::assertSame('waiting', $task['status']);
        $this->deleteJson("/api/v1/studies/{$study->slug}/tasks/{$task['id']}")->assertOk()->assertJsonPath('status', 'cancelled');
        app(PerformTask::class)->execute(self::task($task['id']));
        self::assertSame([], $this->ownKeywords($study));
    }

    public function test_what_runs_is_cancelled_between_rows_and_keeps_nothing(): void
    {
        Queue::fake();
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $task = self::task($this->order($study, 'imports', "keyword,position\n".str_repeat("pen,3\n", 20_001))['id']);
        $task->update(['cancel_wanted' => true]);
        app(PerformTask::class)->execute($task);
        self::assertSame([TaskStatus::Cancelled, []], [$task->refresh()->status, $this->ownKeywords($study)]);
    }

    public function test_what_a_killed_worker_left_begins_again_once_and_is_then_given_up(): void
    {
        Queue::fake();
        $study = $this->makeStudy();
        $task = Task::query()->create([
            'study_id' => $study->id,
            'kind' => TaskKind::Import,
            'status' => TaskStatus::Running,
            'title' => 'x',
            'payload' => [],
            'starts' => 1,
        ]);
        $this->actingAs($this->makeEditor($study, 'reader'));
        $status = fn(): string => $this->getJson("/api/v1/studies/{$study->slug}/tasks/{$task->id}")
            ->assertOk()
            ->json('status');
        self::assertTrue(TaskLock::take($task->id));
        self::assertSame('running', $status());
        TaskLock::release($task->id);
        self::assertSame('waiting', $status());
        $task->refresh()->update(['status' => TaskStatus::Running, 'starts' => 2]);
        self::assertSame('failed', $status());
    }

    public function test_a_reader_and_a_stranger_change_nothing(): void
    {
        $study = $this->compared();
        $import = $study->imports()->first()?->id;
        $this->actingAs($this->makeEditor($study, 'reader'))
            ->deleteJson("/api/v1/studies/{$study->slug}/imports/{$import}")
            ->assertStatus(403);
        $this->post("/api/v1/studies/{$study->slug}/uploads", [
            'file' => UploadedFile::fake()->createWithContent('a.csv', 'a'),
        ])->assertStatus(403);
        $other = $this->makeStudy();
        $this->actingAs($this->makeEditor($other))
            ->deleteJson("/api/v1/studies/{$other->slug}/imports/{$import}")
            ->assertStatus(404);
        $this->getJson("/api/v1/studies/{$study->slug}/tasks")->assertNotFound();
    }

    private function compared(): Study
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position\npen,5\npencil,7\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));

        return $study->refresh();
    }

    /** @return list<string> of our newest snapshot */
    private function ownKeywords(Study $study): array
    {
        $newest = Snapshot::query()
            ->where('study_id', $study->id)
            ->where('domain_id', $study->domains->first()?->id)
            ->orderByDesc('day')
            ->first();

        return array_values(
            array_map(
                strval(...),
                DB::table('rankings')
                    ->where('study_id', $study->id)
                    ->where('snapshot_id', $newest?->id)
                    ->orderBy('keyword')
                    ->pluck('keyword')
                    ->all(),
            ),
        );
    }

    private static function task(int $id): Task
    {
        return Task::query()->where('id', $id)->firstOrFail();
    }

    /** @return array<string, mixed> */
    private function upload(Study $study, string $content, string $name = 'list.csv'): array
    {
        return $this->post("/api/v1/studies/{$study->slug}/uploads", ['file' => UploadedFile::fake()->createWithContent($name, $content)])
            ->assertStatus(201)
            ->json();
    }

    /**
     * @param array<string, mixed> $options
     *
     * @return array<string, mixed>
     */
    private function order(Study $study, string $path, string $content, array $options = []): array
    {
        $upload = $this->upload($study, $content)['id'];

        return $this->postJson("/api/v1/studies/{$study->slug}/{$path}", [
            'upload' => $upload,
            'kind' => 'rankings',
            'domain' => 'quillfair.example',
            ...$options,
        ])
            ->assertStatus(202)
            ->json();
    }
}
