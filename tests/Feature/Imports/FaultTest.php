<?php

declare(strict_types=1);

namespace Tests\Feature\Imports;

use App\Actions\Tasks\TasksQuery;
use App\Models\Study;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskStatus;
use App\Models\Upload;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** What goes wrong around an import, done for real: a killed worker, a restarted database, a full disk, two at once. */
final class FaultTest extends TestCase
{
    private const ROWS = 120_000;

    protected function setUp(): void
    {
        parent::setUp();
        config(['queue.default' => 'database']);
        DB::table('jobs')->delete();
    }

    public function test_a_worker_killed_half_way_leaves_nothing_and_the_work_begins_again(): void
    {
        $study = $this->makeStudy();
        $task = $this->bigImport($study);
        $worker = $this->worker();
        $this->waitUntilRowsAreRead($task);
        $worker->signal(SIGKILL);
        $worker->wait();
        self::assertSame(0, $this->kept($study));
        self::assertSame(TaskStatus::Waiting, (new TasksQuery())->looked($task->refresh())->status);
        $this->worker()->wait();
        self::assertSame([TaskStatus::Done, self::ROWS], [$task->refresh()->status, $this->kept($study)]);
    }

    public function test_a_database_restarted_half_way_leaves_nothing_and_the_work_says_so(): void
    {
        $study = $this->makeStudy();
        $task = $this->bigImport($study);
        $worker = $this->worker();
        $this->waitUntilRowsAreRead($task);
        $this->restartDatabase();
        $worker->wait();
        self::assertSame(0, $this->kept($study));
        $after = (new TasksQuery())->looked($task->refresh());
        self::assertContains($after->status, [TaskStatus::Failed, TaskStatus::Waiting]);
        self::assertStringContainsString('worker stopped', $after->message.$after->stage);
    }

    public function test_a_full_disk_is_told_when_a_file_is_sent(): void
    {
        $study = $this->makeStudy();
        $editor = $this->makeEditor($study);
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('No free port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        // No file of this server can grow beyond 2 MB, which to a program is what a full disk is: the write fails.
        $server = Process::fromShellCommandline(
            'trap "" XFSZ; ulimit -f 2048; exec php -d upload_max_filesize=64M -d post_max_size=66M -S 127.0.0.1:'.
                $port.
                ' -t '.
                escapeshellarg(public_path()).
                ' '.
                escapeshellarg(base_path('bin/serve.php')),
            public_path(),
            ['APP_ENV' => 'testing', 'CACHE_STORE' => 'database'],
            null,
            null,
        );
        $server->disableOutput()->start();
        for ($try = 0; $try < 100 && @fsockopen('127.0.0.1', $port) === false; ++$try) {
            usleep(50_000);
        }
        $jar = new CookieJar();
        $client = new Client([
            'base_uri' => 'http://127.0.0.1:'.$port,
            'cookies' => $jar,
            'http_errors' => false,
            'headers' => ['Accept' => 'application/json'],
        ]);
        $token = static fn(): array => ['X-XSRF-TOKEN' => urldecode((string) $jar->getCookieByName('XSRF-TOKEN')?->getValue())];
        $client->get('/sign-in');
        $client->post('/api/v1/session', ['json' => ['email' => $editor->email, 'password' => 'correct horse'], 'headers' => $token()]);
        $send = static fn(int $bytes): array => (static fn($answer): array => [$answer->getStatusCode(), (string) $answer->getBody()])(
            $client->post("/api/v1/studies/{$study->slug}/uploads", [
                'multipart' => [
                    [
                        'name' => 'file',
                        'filename' => 'big.csv',
                        'contents' => "keyword,position\n".str_repeat("pen,3\n", intdiv($bytes, 6)),
                    ],
                ],
                'headers' => $token(),
            ]),
        );
        $small = $send(60_000);
        $large = $send(4_000_000);
        $server->stop(1);
        self::assertSame(201, $small[0], $small[1]);
        self::assertSame(422, $large[0], $large[1]);
        self::assertStringContainsString('disk is full', $large[1]);
        self::assertSame(1, Upload::query()->where('study_id', $study->id)->count());
    }

    public function test_two_imports_of_one_snapshot_at_once_leave_one_of_them_whole(): void
    {
        $study = $this->makeStudy();
        $processes = [];
        foreach (['pen', 'nib'] as $word) {
            $path = $this->makeFile(
                "keyword,position\n".implode('', array_map(static fn(int $number): string => "{$word} {$number},3\n", range(1, 20_000))),
                $word.'.csv',
            );
            $processes[] = $process = new Process(
                [
                    'php',
                    'artisan',
                    'reach:import',
                    $study->slug,
                    $path,
                    '--kind=rankings',
                    '--domain=quillfair.example',
                    '--date=2026-11-01',
                ],
                base_path(),
                ['APP_ENV' => 'testing'],
                null,
                120,
            );
            $process->start();
        }
        foreach ($processes as $process) {
            self::assertSame(0, $process->wait(), $process->getErrorOutput());
        }
        $words = array_column(
            DB::select(
                "SELECT split_part(keyword, ' ', 1) AS word, count(*) AS count FROM rankings r JOIN live_snapshots s ON s.id = "
                    ."r.snapshot_id WHERE r.study_id = ? GROUP BY 1",
                [$study->id],
            ),
            'count',
            'word',
        );
        self::assertSame([20_000], array_values($words));
        self::assertSame(1, DB::table('live_snapshots')->where('study_id', $study->id)->count());
    }

    private function bigImport(Study $study): Task
    {
        $editor = $this->makeEditor($study);
        $rows =
            "keyword,position,url\n".
            implode(
                '',
                array_map(
                    static fn(int $number): string => "some keyword {$number},".
                        (1 + ($number % 100)).
                        ",https://quillfair.example/{$number}\n",
                    range(1, self::ROWS),
                ),
            );
        $upload = Upload::query()->create([
            'study_id' => $study->id,
            'user_id' => $editor->id,
            'file_name' => 'big.csv',
            'bytes' => \strlen($rows),
        ]);
        Storage::put(Upload::FOLDER.'/'.$upload->id, $rows);

        return app(\App\Actions\Tasks\StartTask::class)->execute($study, $editor->id, TaskKind::Import, 'big.csv', [
            'upload' => $upload->id,
            'kind' => 'rankings',
            'domain' => 'quillfair.example',
            'date' => '2026-11-01',
            'channel' => 'organic',
            'mapping' => [],
            'allow_errors' => 0,
        ]);
    }

    private function worker(): Process
    {
        $worker = new Process(
            ['php', 'artisan', 'queue:work', '--once', '--quiet'],
            base_path(),
            ['APP_ENV' => 'testing', 'QUEUE_CONNECTION' => 'database', 'CACHE_STORE' => 'database'],
            null,
            180,
        );
        $worker->start();

        return $worker;
    }

    private function waitUntilRowsAreRead(Task $task): void
    {
        for ($try = 0; $try < 1500; ++$try) {
            if ($task->refresh()->done > 0) {
                return;
            }
            usleep(10_000);
        }
        self::fail('The worker reads no rows.');
    }

    private function restartDatabase(): void
    {
        $folder = base_path('var/test-postgres/data');
        $program = glob('/usr/lib/postgresql/*/bin/pg_ctl')[0] ?? 'pg_ctl';
        $command = $program.' -D '.escapeshellarg($folder).' -w -m immediate restart';
        DB::disconnect();
        DB::disconnect('progress');
        (Process::fromShellCommandline((posix_getuid() === 0 ? 'runuser -u postgres -- ' : '').$command.' >/dev/null 2>&1'))->mustRun();
    }

    private function kept(Study $study): int
    {
        return DB::table('rankings')->where('study_id', $study->id)->count();
    }
}
