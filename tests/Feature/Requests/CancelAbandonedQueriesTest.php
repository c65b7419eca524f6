<?php

declare(strict_types=1);

namespace Tests\Feature\Requests;

use App\Actions\Requests\CancelAbandonedQueries;
use App\Support\TcpConnections;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\TestCase;

final class CancelAbandonedQueriesTest extends TestCase
{
    private const TABLE = <<<'TXT'
          sl  local_address rem_address   st tx_queue rx_queue tr tm->when retrnsmt   uid  timeout inode
           0: 0100007F:1F90 00000000:0000 0A 00000000:00000000 00:00000000 00000000     0        0 1 1 0000000000000000 100 0 0 10 0
           1: 0100007F:1F90 0100007F:C001 01 00000000:00000000 00:00000000 00000000     0        0 2 1 0000000000000000 20 4 30 10 -1
           2: 0100007F:1F90 0100007F:C002 08 00000000:00000000 00:00000000 00000000     0        0 3 1 0000000000000000 20 4 30 10 -1
           3: 0100007F:C003 0100007F:1F90 01 00000000:00000000 00:00000000 00000000     0        0 4 1 0000000000000000 20 4 30 10 -1
        TXT;

    public function test_only_connections_that_are_open_at_both_ends_count(): void
    {
        $open = TcpConnections::fromText(self::TABLE, 8080);
        self::assertSame([true, false, false, false], array_map($open->has(...), [0xC001, 0xC002, 0xC003, 0]));
        self::assertFalse(TcpConnections::fromText(self::TABLE, 8081)->has(0xC001));
    }

    public function test_this_machine_tells_who_is_connected(): void
    {
        $server = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('No free port.');
        $client = stream_socket_client('tcp://'.stream_socket_get_name($server, false)) ?: self::fail('No connection.');
        $accepted = stream_socket_accept($server) ?: self::fail('No connection.');
        [$served, $asker] = array_map(static fn(string|false $name): int => (int) substr((string) strrchr((string) $name, ':'), 1), [
            stream_socket_get_name($server, false),
            stream_socket_get_name($client, false),
        ]);
        self::assertTrue(TcpConnections::to($served)->has($asker));
        fclose($client);
        self::assertFalse(TcpConnections::to($served)->has($asker));
        fclose($accepted);
    }

    public function test_the_question_of_somebody_who_has_gone_is_stopped_and_that_of_others_goes_on(): void
    {
        $gone = $this->ask('request 49154');
        $here = $this->ask('request 49153');
        $change = $this->ask('change 49154');
        $asking = static fn(): int => (int) DB::selectOne(
            "SELECT count(*) AS count FROM pg_stat_activity WHERE query LIKE 'SELECT pg_sleep%' AND query_start < clock_timestamp() - "
                ."interval '500 ms'",
        )?->count;
        for ($try = 0; $try < 200 && $asking() < 3; ++$try) {
            usleep(50_000);
        }
        self::assertSame(1, (new CancelAbandonedQueries())->execute(TcpConnections::fromText(self::TABLE, 8080)));
        $gone->wait();
        self::assertStringContainsString('canceling statement', $gone->getOutput().$gone->getErrorOutput());
        self::assertTrue($here->isRunning() && $change->isRunning());
        $here->stop(0);
        $change->stop(0);
    }

    private function ask(string $name): Process
    {
        $database = config()->array('database.connections.pgsql');
        $code =
            '$pdo = new PDO($argv[1], $argv[2], $argv[3]); $pdo->exec("SET application_name = \'".$argv[4]."\'"); try { '
                .'$pdo->query("SELECT pg_sleep(30)"); } catch (PDOException $e) { echo $e->getMessage(); }';
        $process = new Process(
            [
                'php',
                '-r',
                $code,
                "pgsql:host={$database['host']};port={$database['port']};dbname={$database['database']}",
                (string) $database['username'],
                (string) $database['password'],
                $name,
            ],
            null,
            null,
            null,
            60,
        );
        $process->start();

        return $process;
    }
}
