<?php

declare(strict_types=1);

namespace Tests\Feature\Requests;

use App\Models\Study;
use App\Models\User;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Support\Facades\DB;
use Psr\Http\Message\ResponseInterface;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** The web server as it is started: nginx before php-fpm, with what it lets through and what it says of files. */
final class WebServerTest extends TestCase
{
    private Process $server;

    private Client $client;

    private CookieJar $jar;

    private Study $study;

    private User $editor;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy();
        $this->editor = $this->makeEditor($this->study);
        $this->server = new Process(
            ['bash', base_path('bin/web'), '8700'],
            base_path(),
            ['APP_ENV' => 'testing', 'QUEUE_CONNECTION' => 'sync', 'CACHE_STORE' => 'database'],
            null,
            120,
        );
        $this->server->start();
        $this->server->waitUntil(static fn(string $type, string $told): bool => preg_match('/^\d+\n/m', $told) === 1);
        $this->jar = new CookieJar();
        $this->client = new Client([
            'base_uri' => 'http://127.0.0.1:'.trim($this->server->getOutput()),
            'cookies' => $this->jar,
            'http_errors' => false,
            'headers' => ['Accept' => 'application/json'],
        ]);
    }

    protected function tearDown(): void
    {
        $this->server->stop(20);
        parent::tearDown();
    }

    public function test_files_are_packed_kept_and_never_guessed(): void
    {
        $scripts = glob(public_path('build/assets/*.js')) ?: [];
        usort($scripts, static fn(string $one, string $other): int => filesize($other) <=> filesize($one));
        $packed = ['headers' => ['Accept-Encoding' => 'gzip'], 'decode_content' => false];
        $answer = $this->client->get('/build/assets/'.basename($scripts[0] ?? ''), $packed);
        self::assertSame(200, $answer->getStatusCode());
        self::assertSame('gzip', $answer->getHeaderLine('Content-Encoding'));
        self::assertSame('nosniff', $answer->getHeaderLine('X-Content-Type-Options'));
        self::assertStringContainsString('immutable', $answer->getHeaderLine('Cache-Control'));
        foreach (['/.env', '/index.php', '/build/../../.env', '/build/assets/none.js'] as $path) {
            self::assertSame(404, $this->client->get($path)->getStatusCode(), $path);
        }
        self::assertSame(200, $this->client->get('/studies/any/compare')->getStatusCode(), 'Every page of the screen is the one page.');
    }

    public function test_nothing_large_is_read_before_somebody_has_signed_in(): void
    {
        $refused = $this->send('uploads', 8_000_000);
        self::assertSame(401, $refused->getStatusCode());
        self::assertSame('application/problem+json', $refused->getHeaderLine('Content-Type'));
        $large = $this->send('decisions', 4_000_000);
        self::assertSame([413, 'application/problem+json'], [$large->getStatusCode(), $large->getHeaderLine('Content-Type')]);
        self::assertSame('too_large', json_decode((string) $large->getBody(), true)['code']);
        $this->signIn();
        $pasted = ['json' => ['text' => str_repeat('wax ', 240_000).str_repeat('ü', 1000)], 'headers' => $this->token()];
        self::assertSame(200, $this->client->post("/api/v1/studies/{$this->study->slug}/terms", $pasted)->getStatusCode());
        self::assertSame(201, $this->send('uploads', 8_000_000)->getStatusCode());
        self::assertSame(413, $this->send('decisions', 4_000_000)->getStatusCode());
    }

    public function test_the_database_knows_who_asks_and_forgets_it(): void
    {
        $this->signIn();
        for ($asked = 0; $asked < 12; ++$asked) {
            $answer = $this->client->get("/api/v1/studies/{$this->study->slug}");
            self::assertSame(200, $answer->getStatusCode(), (string) $answer->getBody());
        }
        // The name is taken off when the answer is out, which on a busy machine is a moment after it has come in.
        $named = DB::table('pg_stat_activity')->where('datname', DB::getDatabaseName())->where('application_name', 'like', 'request%');
        for ($look = 0; $look < 100 && $named->exists(); ++$look) {
            usleep(100_000);
        }
        self::assertSame(0, $named->count(), 'A connection that is kept bears no name of a request that is over.');
    }

    private function signIn(): void
    {
        $this->client->get('/api/v1/session');
        $answer = $this->client->post('/api/v1/session', [
            'json' => ['email' => $this->editor->email, 'password' => 'correct horse'],
            'headers' => $this->token(),
        ]);
        self::assertSame(200, $answer->getStatusCode(), (string) $answer->getBody());
    }

    private function send(string $to, int $bytes): ResponseInterface
    {
        $content = "keyword,position\n".str_repeat("pen,3\n", intdiv($bytes, 6));

        return $this->client->post("/api/v1/studies/{$this->study->slug}/{$to}", [
            'multipart' => [['name' => 'file', 'filename' => 'big.csv', 'contents' => $content]],
            'headers' => $this->token(),
        ]);
    }

    /** @return array<string, string> */
    private function token(): array
    {
        return ['X-XSRF-TOKEN' => urldecode((string) $this->jar->getCookieByName('XSRF-TOKEN')?->getValue())];
    }
}
