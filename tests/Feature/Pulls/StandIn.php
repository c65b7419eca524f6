<?php

declare(strict_types=1);

namespace Tests\Feature\Pulls;

use Illuminate\Support\Facades\Http;
use Symfony\Component\Process\Process;

/** The stand-in service, really running on a port of its own, for one class of tests. */
final class StandIn
{
    public const KEY = 'a key for the tests';

    private function __construct(private readonly Process $process, public readonly string $url, public readonly string $folder)
    {
    }

    /** @param string $subjects of the market, separated by commas: a part of it is drawn sooner than the whole */
    public static function start(string $today = '2026-11-15', int $perSecond = 1000, string $subjects = 'smokers'): self
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No free port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $folder = sys_get_temp_dir().'/stand-in-of-tests';
        $process = new Process(
            ['php', '-S', '127.0.0.1:'.$port, base_path('stand-in/public/index.php')],
            base_path(),
            [
                'STAND_IN_KEY' => self::KEY,
                'STAND_IN_FOLDER' => $folder,
                'STAND_IN_TODAY' => $today,
                'STAND_IN_SUBJECTS' => $subjects,
                'STAND_IN_PER_SECOND' => (string) $perSecond,
            ],
            null,
            null,
        );
        $process->disableOutput()->start();
        for ($try = 0; $try < 200 && @fsockopen('127.0.0.1', $port) === false; ++$try) {
            usleep(25_000);
        }

        return new self($process, 'http://127.0.0.1:'.$port, $folder);
    }

    /** @param list<string> $plan what goes wrong on its next requests */
    public function misbehave(array $plan): void
    {
        Http::withToken(self::KEY)->post($this->url.'/v1/misbehave', ['plan' => $plan])->throw();
    }

    public function connect(): void
    {
        config(['sources.connected.stand-in.url' => $this->url, 'sources.connected.stand-in.key' => self::KEY]);
        app()->forgetInstance(\App\Support\Sources\Sources::class);
        Http::allowStrayRequests([$this->url.'/*']);
    }

    public function stop(): void
    {
        @unlink($this->folder.'/misbehaviour');
        $this->process->stop(1);
    }
}
