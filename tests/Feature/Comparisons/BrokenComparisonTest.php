<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Tasks\RequeueTasks;
use App\Models\Study;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskStatus;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Work that breaks off is told with its reason, and taken up again: by a person who wants it, or by the watch where a worker died. */
final class BrokenComparisonTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // What other tests have left waiting is not looked at here.
        DB::table('jobs')->delete();
        DB::table('tasks')->whereIn('status', [TaskStatus::Waiting, TaskStatus::Running])->update(['status' => TaskStatus::Cancelled]);
    }

    protected function tearDown(): void
    {
        DB::statement('ALTER TABLE comparisons DROP CONSTRAINT IF EXISTS broken');
        DB::table('jobs')->delete();
        parent::tearDown();
    }

    private function lists(): Study
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position,url,volume\nink,12,https://quillfair.example/ink,400\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-10-01'],
        );

        return $study->refresh();
    }

    private function work(): void
    {
        Artisan::call('queue:work', [
            'connection' => 'database', '--stop-when-empty' => true, '--tries' => 2, '--sleep' => 0, '--memory' => 1024,
        ]);
    }

    public function test_a_comparison_that_breaks_off_is_told_once_and_made_when_somebody_asks_again(): void
    {
        config(['queue.default' => 'database']);
        $study = $this->lists();
        $path = "/api/v1/studies/{$study->slug}/comparison";
        DB::statement("ALTER TABLE comparisons ADD CONSTRAINT broken CHECK (study_id <> {$study->id}) NOT VALID");
        $this->actingAs($this->makeEditor($study));
        $this->getJson($path)->assertOk()->assertJson(['is_current' => false, 'problem' => null]);
        $this->work();
        $problem = (string) $this->getJson($path)->assertOk()->json('problem');
        self::assertMatchesRegularExpression('/^Something went wrong, and nothing was saved\..*under the number [0-9A-F]{8}\.$/', $problem);
        self::assertSame(0, DB::table('jobs')->count(), 'It is not tried again by itself.');
        DB::statement('ALTER TABLE comparisons DROP CONSTRAINT broken');
        $this->postJson($path)->assertOk()->assertJson(['is_current' => false, 'problem' => null]);
        $this->work();
        $this->getJson($path)->assertOk()->assertJson(['is_current' => true, 'problem' => null]);
    }

    public function test_other_lists_are_compared_whatever_broke_off_before(): void
    {
        config(['queue.default' => 'database']);
        $study = $this->lists();
        DB::statement("ALTER TABLE comparisons ADD CONSTRAINT broken CHECK (study_id <> {$study->id}) NOT VALID");
        $this->actingAs($this->makeEditor($study));
        $path = "/api/v1/studies/{$study->slug}/comparison";
        $this->getJson($path);
        $this->work();
        DB::statement('ALTER TABLE comparisons DROP CONSTRAINT broken');
        $study->touchData();
        $this->getJson($path)->assertOk()->assertJson(['problem' => null]);
        $this->work();
        $this->getJson($path)->assertOk()->assertJson(['is_current' => true]);
    }

    public function test_work_whose_job_is_lost_or_whose_worker_died_is_taken_up_though_nobody_looks(): void
    {
        config(['queue.default' => 'database']);
        $study = $this->lists();
        $make = static fn(TaskStatus $status): Task => Task::query()->create([
            'study_id' => $study->id, 'kind' => TaskKind::Pull, 'status' => $status, 'title' => 'A pull', 'payload' => [], 'starts' => 1,
        ]);
        [$lost, $died] = [$make(TaskStatus::Waiting), $make(TaskStatus::Running)];
        $revive = app(RequeueTasks::class);
        $revive->execute();
        self::assertSame(TaskStatus::Waiting, $died->refresh()->status);
        self::assertSame(1, DB::table('jobs')->count(), 'What waits may have its job still.');
        DB::table('jobs')->delete();
        $this->travel(31)->seconds();
        self::assertSame(2, $revive->execute());
        self::assertSame(2, DB::table('jobs')->count());
        self::assertSame(0, $revive->execute(), 'Once is enough.');
        self::assertSame(TaskStatus::Waiting, $lost->refresh()->status);
    }
}
