<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use App\Support\Database\RowStream;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Monolog\Handler\TestHandler;
use Monolog\Logger;
use Monolog\LogRecord;
use Tests\TestCase;

/** How much a request may ask for, under which names it is answered, and what becomes of failures. */
final class BoundsTest extends TestCase
{
    public function test_a_question_that_takes_too_long_is_stopped_and_said_so(): void
    {
        config(['reach.longest_question' => 1]);
        Route::get('api/v1/slow/list', static fn() => DB::select('SELECT pg_sleep(5)'));
        Route::get(
            'api/v1/slow/stream',
            static fn(): array => DB::transaction(static fn(): array => iterator_to_array(RowStream::of('SELECT pg_sleep(5)'))),
        );
        foreach (['list', 'stream'] as $way) {
            $began = microtime(true);
            $this->getJson("/api/v1/slow/{$way}")
                ->assertStatus(503)
                ->assertJsonPath(
                    'detail',
                    'That took longer than 1 seconds, so we stopped it. Narrow the filter or simplify the pattern.'
                );
            self::assertLessThan(4.0, microtime(true) - $began, 'It was stopped and did not end by itself.');
        }
        self::assertSame('0', DB::selectOne('SHOW statement_timeout')?->statement_timeout, 'What comes after the request is not bounded.');
    }

    public function test_patterns_are_bounded(): void
    {
        $study = $this->opened();
        $ask = fn(string $pattern) => $this->getJson(
            "/api/v1/studies/{$study->slug}/bench?".http_build_query(['show' => 'regex='.$pattern]),
        );
        $ask('^pe(n|ns)$')->assertOk()->assertJsonCount(1, 'rows');
        $ask('(\w{1,80}\s?){1,80}!')
            ->assertStatus(422)
            ->assertJsonPath(
                'detail',
                'In the sentence, "regex=(\\\\w{1,80}\\\\s?){1,80}!" repeats too much: at most 300 characters when written out. '
                    .'Use smaller numbers in braces.',
            );
        $ask('p{1,9}en')->assertOk();
    }

    public function test_only_hosts_that_are_served_are_answered(): void
    {
        $this->getJson('http://127.0.0.1/api/v1/session')->assertOk();
        $this->getJson('http://localhost/api/v1/session')->assertOk();
        $this->getJson('http://rebound.example/api/v1/session')
            ->assertStatus(400)
            ->assertJsonPath('detail', 'This host name isn’t served here. See REACH_HOSTS.');
    }

    public function test_refusals_are_told_and_not_logged_and_failures_are_logged_under_the_number_that_is_told(): void
    {
        $log = new TestHandler();
        app('log')->extend('watched', fn(): Logger => new Logger('watched', [$log]));
        config(['logging.channels.watched' => ['driver' => 'watched'], 'logging.default' => 'watched']);
        $study = $this->opened();
        $this->getJson("/api/v1/studies/{$study->slug}/bench?show=volume=many")->assertStatus(422);
        $this->postJson('/api/v1/studies', ['name' => 'Pens', 'slug' => $study->slug, 'domain' => 'quillfair.example'])->assertStatus(422);
        $this->getJson('/api/v1/studies/none')->assertStatus(404);
        self::assertSame([], $log->getRecords());
        Route::get('api/v1/broken', static fn() => throw new \LogicException('made to break'));
        $number = $this->getJson('/api/v1/broken')->assertStatus(500)->json('number');
        self::assertMatchesRegularExpression('/^[0-9A-F]{8}$/D', $number);
        self::assertTrue($log->hasErrorThatPasses(static fn(LogRecord $record): bool => ($record->context['number'] ?? null) === $number));
    }

    public function test_a_log_that_cannot_be_written_makes_no_request_fail(): void
    {
        config([
            'logging.channels.full' => ['driver' => 'single', 'path' => '/dev/full'],
            'logging.channels.kept.channels' => ['full'],
            'logging.default' => 'kept',
        ]);
        app('log')->forgetChannel('kept');
        Route::get('api/v1/broken', static fn() => throw new \LogicException('made to break'));
        $this->getJson('/api/v1/broken')->assertStatus(500)->assertJsonPath('title', 'Failed');
        \Illuminate\Support\Facades\Log::warning('This goes nowhere.');
    }

    private function opened(): Study
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\npen,2\nnib,4\n", options: ['--domain' => 'quillfair.example']);
        $this->command('reach:compare', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));

        return $study;
    }
}
