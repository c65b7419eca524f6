<?php

declare(strict_types=1);

namespace Benchmark;

use App\Models\User;
use GuzzleHttp\Client;
use Illuminate\Contracts\Console\Kernel;
use Symfony\Component\Process\Process;

/** The application as the benchmarks use it: its commands, and a web server of its own with somebody signed in. */
final class Application
{
    public const EMAIL = 'bench@domain-0.example';
    public const PASSWORD = 'bench';
    private const WORKERS = '4';

    private ?Process $server = null;

    private function __construct(public readonly string $folder, public readonly string $address)
    {
    }

    /** @param int $port of the loopback interface, for the web server; the next free one where it is taken */
    public static function boot(int $port): self
    {
        while (($taken = @fsockopen('127.0.0.1', $port)) !== false) {
            fclose($taken);
            ++$port;
        }
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return new self(base_path('var/bench'), 'http://127.0.0.1:'.$port);
    }

    /** A command, run as the queue worker of bin/start runs its work. */
    public function artisan(string ...$arguments): Process
    {
        $fast = preg_split('/ +/', trim((string) getenv('PHP_FAST')), -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return new Process(['php', ...$fast, 'artisan', ...$arguments], base_path(), ['APP_ENV' => 'bench'], null, 1800);
    }

    /** Writes a CSV of rankings with volume, difficulty and CPC. */
    public static function write(string $path, iterable $rows): void
    {
        $file = fopen($path, 'wb');
        fwrite($file, "keyword,position,url,volume,difficulty,cpc\n");
        foreach ($rows as $row) {
            fwrite($file, implode(',', $row)."\n");
        }
        fclose($file);
    }

    /** The plain tool beside an import: psql \copy of the same file into an unlogged table. */
    public static function plainCopy(string $csv): Process
    {
        return new Process([
            'psql',
            '-q',
            '-c',
            'CREATE UNLOGGED TABLE IF NOT EXISTS plain (keyword text, position int, url text, volume int, difficulty float8, cpc numeric)',
            '-c',
            'TRUNCATE plain',
            '-c',
            "\\copy plain FROM '{$csv}' CSV HEADER",
        ]);
    }

    public function serve(): void
    {
        User::query()->firstOrCreate(
            ['email' => self::EMAIL],
            ['name' => 'Bench', 'password' => self::PASSWORD, 'is_administrator' => true],
        );
        $this->server = new Process(
            ['setsid', 'php', '-S', substr($this->address, 7), '-t', public_path(), base_path('bin/serve.php')],
            public_path(),
            ['APP_ENV' => 'bench', 'PHP_CLI_SERVER_WORKERS' => self::WORKERS],
            null,
            null,
        );
        $this->server->disableOutput()->start();
        register_shutdown_function($this->stop(...));
        for ($try = 0; $try < 200 && @fsockopen('127.0.0.1', (int) substr($this->address, 17)) === false; ++$try) {
            usleep(50_000);
        }
    }

    /** A client with somebody signed in. */
    public function client(): Client
    {
        $client = new Client(['base_uri' => $this->address, 'cookies' => true, 'headers' => ['Accept' => 'application/json']]);
        $client->get('/sign-in');
        $token = urldecode((string) $client->getConfig('cookies')->getCookieByName('XSRF-TOKEN')?->getValue());
        $client->post('/api/v1/session', [
            'json' => ['email' => self::EMAIL, 'password' => self::PASSWORD],
            'headers' => ['X-XSRF-TOKEN' => $token],
        ]);

        return $client;
    }

    public function stop(): void
    {
        // It leads a group of its own; its workers would outlive it.
        if ($this->server?->getPid() !== null) {
            posix_kill(-$this->server->getPid(), SIGTERM);
        }
        $this->server?->stop(1);
        $this->server = null;
    }
}
