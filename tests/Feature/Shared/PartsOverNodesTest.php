<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Comparisons\PartStore;
use App\Jobs\DoPart;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\QueueLengths;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Redis;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Parts of a comparison done by workers that share nothing with the one that makes it but database, queue and store. */
final class PartsOverNodesTest extends TestCase
{
    use RunsEngines;

    private Study $study;

    private string $began;

    protected function setUp(): void
    {
        parent::setUp();
        $this->startEngines();
        $this->began = now()->toDateTimeString();
        $this->study = $this->makeStudy(['inkmoor.example']);
        foreach (['quillfair.example' => 7, 'inkmoor.example' => 11] as $domain => $step) {
            $lines = array_map(static fn(int $number): string => "word {$number},".(1 + ($number * $step) % 99)."\n", range(1, 4000));
            $this->import($this->study, "keyword,position\n".implode('', $lines), options: ['--domain' => $domain]);
        }
        $figures = static fn(int $number): string => "word {$number},".(10 + $number % 977).','.($number % 100)."\n";
        $lines = array_map($figures, range(1, 4000));
        $this->import($this->study, "keyword,volume,difficulty\n".implode('', $lines), 'keywords');
    }

    protected function tearDown(): void
    {
        $this->stopEngines();
        parent::tearDown();
    }

    public function test_workers_elsewhere_and_one_that_dies_change_nothing_of_the_result(): void
    {
        $alone = $this->made(false);
        [$first, $second] = [$this->worker(), $this->worker()];
        $killed = false;
        $together = $this->made(true, static function () use ($first, $second, &$killed): void {
            if (! $killed) {
                $first->signal(SIGKILL);
                $killed = true;
                self::waitUntilItDidSome($second);
            }
        });
        self::assertTrue($killed);
        self::assertTrue($second->isRunning(), $second->getErrorOutput());
        self::assertSame(self::rows($alone), self::rows($together));
        self::assertSame(self::topics($alone), self::topics($together));
        self::assertEquals($alone->summary, $together->summary);
        self::assertSame([], self::left(), 'Nothing is left in the store.');
        self::assertSame([], $this->failed());
    }

    public function test_it_needs_nobody_and_what_comes_too_late_does_nothing(): void
    {
        $alone = $this->made(false);
        $together = $this->made(true);
        self::assertSame(self::rows($alone), self::rows($together));
        self::assertGreaterThan(0, QueueLengths::waiting(DoPart::LANE));
        $this->work();
        self::assertSame(0, QueueLengths::waiting(DoPart::LANE));
        self::assertSame([], Storage::allFiles(PartStore::FOLDER));
        self::assertSame([], $this->failed());
    }

    public function test_a_comparison_that_is_stopped_leaves_nothing_and_its_parts_are_not_done(): void
    {
        try {
            $this->made(true, static fn() => throw new \DomainException('stopped'));
            self::fail('Nobody was asked.');
        } catch (\DomainException) {
            self::assertCount(0, Storage::allFiles(PartStore::FOLDER));
        }
        $this->work();
        self::assertSame([], Storage::allFiles(PartStore::FOLDER));
    }

    /** @return list<mixed> errors of parts that failed in this test */
    private function failed(): array
    {
        return array_values(DB::table('failed_jobs')->where('payload', 'like', '%DoPart%')->where('failed_at', '>=', $this->began)
            ->pluck('exception')->all());
    }

    /** Runs every job that waits, in this process: an error of the queue or of a job fails the test with its own message. */
    private function work(): void
    {
        $queue = Queue::connection('redis');
        while (($job = $queue->pop(DoPart::LANE)) !== null) {
            $job->fire();
        }
    }

    /** @return list<string> what lies in the store once a worker that was bringing something has seen that nobody wants it */
    private static function left(): array
    {
        for ($tries = 50; $tries > 0 && Storage::allFiles(PartStore::FOLDER) !== []; --$tries) {
            usleep(100_000);
        }

        return array_values(Storage::allFiles(PartStore::FOLDER));
    }

    private function worker(): Process
    {
        $command = [PHP_BINARY, 'artisan', 'queue:work', 'redis', '--queue='.DoPart::LANE, '--sleep=0.1'];
        $worker = new Process($command, base_path(), [...$this->engines, 'APP_ENV' => 'testing'], timeout: null);
        $worker->start();
        $this->servers[] = $worker;
        usleep(700_000);

        return $worker;
    }

    /** However slowly it starts: what is left to do waits for it. */
    private static function waitUntilItDidSome(Process $worker): void
    {
        $job = class_basename(DoPart::class);
        for ($tries = 400; $tries > 0 && $worker->isRunning() && ! str_contains($worker->getOutput(), $job); --$tries) {
            usleep(50_000);
        }
        self::assertStringContainsString($job, $worker->getOutput(), $worker->getErrorOutput());
    }

    private function made(bool $overNodes, ?\Closure $progress = null): Comparison
    {
        config(['reach.rankings_alone' => 1, 'reach.comparison_processes' => 2, 'reach.parts_over_nodes' => $overNodes]);
        Redis::connection('queue')->flushdb();
        DB::table('studies')->where('id', $this->study->id)->increment('data_version');

        return app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($this->study->refresh()), $progress);
    }

    /** @return non-empty-list<array<string, mixed>> */
    private static function topics(Comparison $comparison): array
    {
        $topics = array_map(
            static fn(\stdClass $topic): array => array_diff_key((array) $topic, ['comparison_id' => 0]),
            array_values($comparison->topicTable()->query()->orderBy('topic')->get()->all()),
        );

        return $topics === [] ? self::fail('There are no topics.') : $topics;
    }

    /** @return list<array<string, mixed>> */
    private static function rows(Comparison $comparison): array
    {
        $rows = DB::table('comparison_rows')->where('study_id', $comparison->study_id)->where('comparison_id', $comparison->id);

        return array_map(
            static fn(\stdClass $row): array => array_diff_key((array) $row, ['comparison_id' => 0]),
            array_values($rows->orderBy('keyword')->get()->all()),
        );
    }
}
