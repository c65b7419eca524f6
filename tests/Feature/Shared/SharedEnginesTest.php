<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Jobs\RefreshComparison;
use App\Models\Study;
use App\Models\Upload;
use App\Support\QueueLengths;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Redis;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** The application on engines that several machines share: Redis and a store that speaks S3, the real ones on loopback. */
final class SharedEnginesTest extends TestCase
{
    use RunsEngines;

    protected function setUp(): void
    {
        parent::setUp();
        $this->startEngines();
    }

    protected function tearDown(): void
    {
        $this->stopEngines();
        parent::tearDown();
    }

    public function test_a_round_leaves_nothing_on_the_disk_of_a_machine(): void
    {
        $jobs = DB::table('jobs')->count();
        $study = $this->makeStudy(['inkmoor.example']);
        $this->actingAs($this->makeEditor($study));
        $lists = ['quillfair.example' => "keyword,position\nink,4\nnib,30\n", 'inkmoor.example' => "keyword,position\nink,9\npaper,2\n"];
        foreach ($lists as $domain => $list) {
            $this->bringIn($study, $domain, $list);
        }
        $this->getJson("/api/v1/studies/{$study->slug}/comparison")->assertOk()->assertJsonPath('is_current', true);
        foreach (['opportunities', 'opportunities', 'bench', 'findings', 'opportunities/topics', 'plan', 'track'] as $view) {
            $this->getJson("/api/v1/studies/{$study->slug}/{$view}")->assertOk();
        }
        Cache::put(RefreshComparison::progressKey($study->id), 5000, 60);
        $this->getJson("/api/v1/studies/{$study->slug}/comparison")->assertOk()->assertJsonPath('keywords_done', 5000);
        $order = ['list' => 'compare', 'columns' => 'keyword,own,p1', 'sort' => 'p1', 'dir' => 'asc', 'title' => 'Keywords'];
        $task = $this->postJson("/api/v1/studies/{$study->slug}/exports/list", $order)->assertStatus(202)->json('id');
        $this->work('short');
        $file = $this->get("/api/v1/studies/{$study->slug}/tasks/{$task}/file")->assertOk()->streamedContent();
        self::assertStringStartsWith("PK\3\4", $file);
        self::assertSame(["exports/{$task}.xlsx"], Storage::allFiles());
        self::assertSame([], File::allFiles($this->folder.'/local'), 'Nothing of it is on this machine.');
        self::assertSame($jobs, DB::table('jobs')->count(), 'Nothing waits in the database.');
    }

    public function test_lanes_locks_and_limits_are_those_of_all_machines(): void
    {
        $study = $this->makeStudy();
        Redis::connection('queue')->flushdb();
        RefreshComparison::dispatch($study->id);
        RefreshComparison::dispatch($study->id);
        self::assertSame(1, QueueLengths::waiting('default'), 'The second found the lock of the first.');
        $this->travel(20)->seconds();
        self::assertSame(0, QueueLengths::oldestSeconds('short'));
        $this->getJson('/api/v1/health')->assertOk()->assertJsonPath('lanes.default.waiting', 1);
        $limiter = new RateLimiter(Cache::store('redis'));
        $limiter->hit('reach-drill', 60);
        self::assertTrue((new RateLimiter(Cache::store('redis')))->tooManyAttempts('reach-drill', 1));
    }

    public function test_a_store_or_a_queue_that_is_gone_is_told_in_words(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->servers[1]->stop(1);
        $file = UploadedFile::fake()->createWithContent('list.csv', "keyword,position\nink,4\n");
        $told = $this->post("/api/v1/studies/{$study->slug}/uploads", ['file' => $file])->assertUnprocessable()->json('detail');
        self::assertStringContainsString('saved. Free some space', (string) $told);
        self::assertSame(0, Upload::query()->where('study_id', $study->id)->count());
        $this->servers[0]->stop(1);
        config(['database.redis.queue.max_retries' => 0]);
        $this->getJson('/api/v1/health')->assertStatus(503)->assertJson(['database' => 'ok', 'status' => 'not ok', 'lanes' => []]);
    }

    private function bringIn(Study $study, string $domain, string $list): void
    {
        $file = UploadedFile::fake()->createWithContent($domain.'.csv', $list);
        $id = $this->post("/api/v1/studies/{$study->slug}/uploads", ['file' => $file])->assertCreated()->json('id');
        self::assertTrue(Storage::exists(Upload::FOLDER.'/'.$id));
        $order = ['upload' => $id, 'kind' => 'rankings', 'domain' => $domain, 'date' => '2026-10-01'];
        $this->postJson("/api/v1/studies/{$study->slug}/imports", $order)->assertStatus(202);
        $this->work('default');
        self::assertFalse(Storage::exists(Upload::FOLDER.'/'.$id), 'What is imported waits no longer.');
    }

    private function work(string $lane): void
    {
        Artisan::call('queue:work', [
            'connection' => 'redis', '--stop-when-empty' => true, '--queue' => $lane, '--quiet' => true, '--memory' => 1024,
        ]);
    }
}
