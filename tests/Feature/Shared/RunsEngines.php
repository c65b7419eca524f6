<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/** Redis and a store that speaks S3, the real ones on loopback, for as long as a test lasts. */
trait RunsEngines
{
    /** @var list<Process> Redis, the store, and what a test starts beside them */
    private array $servers = [];

    private string $folder;

    /** @var array<string, string> by which another process finds the same engines */
    private array $engines = [];

    private function startEngines(): void
    {
        $this->folder = sys_get_temp_dir().'/engines-'.bin2hex(random_bytes(4));
        File::makeDirectory($this->folder.'/store', recursive: true);
        File::makeDirectory($this->folder.'/local');
        [$redis, $store] = [self::freePort(), self::freePort()];
        $this->serve(['redis-server', '--port', (string) $redis, '--bind', '127.0.0.1', '--save', '', '--dir', $this->folder], $redis);
        $this->serve([
            'node', base_path('node_modules/s3rver/bin/s3rver.js'), '--directory', $this->folder.'/store', '--address', '127.0.0.1',
            '--port', (string) $store, '--configure-bucket', 'greater-reach', '--silent',
        ], $store);
        config([
            'database.redis.queue.port' => $redis, 'database.redis.cache.port' => $redis, 'database.redis.default.port' => $redis,
            'queue.default' => 'redis', 'cache.default' => 'redis',
            'filesystems.default' => 's3', 'filesystems.disks.s3.endpoint' => "http://127.0.0.1:{$store}",
            'filesystems.disks.s3.key' => 'S3RVER', 'filesystems.disks.s3.secret' => 'S3RVER',
            'filesystems.disks.local.root' => $this->folder.'/local',
        ]);
        $this->engines = [
            'REDIS_PORT' => (string) $redis, 'QUEUE_CONNECTION' => 'redis', 'CACHE_STORE' => 'redis', 'FILESYSTEM_DISK' => 's3',
            'REACH_STORE_URL' => "http://127.0.0.1:{$store}", 'REACH_STORE_KEY' => 'S3RVER', 'REACH_STORE_SECRET' => 'S3RVER',
        ];
    }

    private function stopEngines(): void
    {
        foreach (array_reverse($this->servers) as $server) {
            $server->stop(2);
        }
        File::deleteDirectory($this->folder);
    }

    /** @param list<string> $command */
    private function serve(array $command, int $port): void
    {
        $server = new Process($command, base_path(), timeout: null);
        $server->start();
        $this->servers[] = $server;
        for ($look = 0; $look < 200 && ! @fsockopen('127.0.0.1', $port); ++$look) {
            usleep(50_000);
        }
        self::assertTrue($server->isRunning(), $server->getErrorOutput());
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('No port is free.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }
}
