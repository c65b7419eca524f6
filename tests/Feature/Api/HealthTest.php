<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\TaskKind;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** What watches an installation sees how it is, without seeing what is kept there. */
final class HealthTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['queue.default' => 'database']);
        DB::table('jobs')->delete();
    }

    protected function tearDown(): void
    {
        // No worker of another test is to find them.
        DB::table('jobs')->delete();
        parent::tearDown();
    }

    public function test_everybody_may_ask_how_it_is_and_gets_no_cookie(): void
    {
        $answer = $this->getJson('/api/v1/health')->assertOk()->assertJsonPath('status', 'ok')->assertJsonPath('database', 'ok');
        self::assertSame([], $answer->headers->getCookies());
        self::assertSame(['default', 'short'], array_keys($answer->json('lanes')));
    }

    public function test_a_job_that_nobody_takes_is_told(): void
    {
        $this->wait(TaskKind::SHORT, 1000);
        $this->wait(TaskKind::SHORT, 20);
        $this->wait(TaskKind::LONG, -60);
        $answer = $this->getJson('/api/v1/health')->assertStatus(503)->assertJsonPath('status', 'not ok');
        self::assertSame(2, $answer->json('lanes.short.waiting'));
        self::assertEqualsWithDelta(1000, $answer->json('lanes.short.oldest_seconds'), 5);
        self::assertSame(0, $answer->json('lanes.default.waiting'), 'What is to wait is not late.');
    }

    public function test_a_database_that_is_gone_is_told(): void
    {
        $port = config('database.connections.pgsql.port');
        config(['database.connections.pgsql.port' => 1]);
        DB::purge();
        try {
            $this->getJson('/api/v1/health')->assertStatus(503)->assertJsonPath('database', 'not ok');
        } finally {
            config(['database.connections.pgsql.port' => $port]);
            DB::purge();
        }
    }

    /** Read by the reference parser of the format, https://github.com/prometheus/client_python. */
    public function test_metrics_are_what_a_monitoring_system_reads(): void
    {
        $this->wait(TaskKind::LONG, 30);
        $this->actingAs($this->makeUser())->getJson('/api/v1/metrics')->assertStatus(403);
        $answer = $this->actingAs($this->makeUser(true))->get('/api/v1/metrics')->assertOk();
        self::assertSame('application/openmetrics-text; version=1.0.0; charset=utf-8', $answer->headers->get('Content-Type'));
        $reader = ['/usr/bin/python3', base_path('tests/independent/openmetrics.py')];
        $parser = new Process($reader, null, null, (string) $answer->getContent());
        $parser->mustRun();
        $values = [];
        foreach (explode("\n", trim($parser->getOutput())) as $line) {
            /** @var array{type: string, name: string, labels: array<string, string>, value: float} $sample */
            $sample = json_decode($line, true, 8, JSON_THROW_ON_ERROR);
            self::assertSame('gauge', $sample['type']);
            $values[$sample['name'].implode('', $sample['labels'])] = (float) $sample['value'];
        }
        self::assertSame(1.0, $values['reach_up']);
        self::assertSame(1.0, $values['reach_jobs_waitingdefault']);
        self::assertSame((float) DB::table('users')->count(), $values['reach_people']);
        self::assertGreaterThanOrEqual(1.0, $values['reach_database_connections']);
        self::assertGreaterThan(1_000_000.0, $values['reach_database_bytes']);
    }

    private function wait(string $lane, int $seconds): void
    {
        DB::table('jobs')->insert([
            'queue' => $lane,
            'payload' => '{}',
            'attempts' => 0,
            'available_at' => time() - $seconds,
            'created_at' => time() - $seconds,
        ]);
    }
}
