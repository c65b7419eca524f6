<?php

declare(strict_types=1);

namespace Tests\Feature\Requests;

use App\Actions\Tidy\ResetClock;
use App\Jobs\RefreshComparison;
use App\Support\OneTime\Totp;
use Illuminate\Cache\RateLimiter;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** What was begun before the clock was set back by six hours does not wait six hours. */
final class ClockSetBackTest extends TestCase
{
    private const HOURS = 6;

    protected function setUp(): void
    {
        parent::setUp();
        config(['queue.default' => 'database', 'cache.default' => 'database']);
        $this->travel(self::HOURS)->hours();
    }

    public function test_work_that_waits_is_taken_up(): void
    {
        DB::table('jobs')->delete();
        $study = $this->makeStudy();
        Queue::connection('database')->push(new RefreshComparison($study->id));
        self::assertSame(1, DB::table('jobs')->count());
        $this->travelBack();
        self::assertFalse($this->isTakenUp());
        self::assertGreaterThan(0, app(ResetClock::class)->execute());
        self::assertTrue($this->isTakenUp());
        self::assertSame(0, app(ResetClock::class)->execute(), 'What is well is left alone.');
    }

    public function test_what_is_mended_is_counted(): void
    {
        $this->travelBack();
        [$now, $later] = [now()->getTimestamp(), now()->addHours(self::HOURS)->getTimestamp()];
        foreach (['jobs', 'cache', 'cache_locks'] as $table) {
            DB::table($table)->delete();
        }
        DB::table('users')->update(['totp_step' => 0]);
        $job = ['queue' => 'none', 'payload' => '{}', 'attempts' => 0, 'reserved_at' => null, 'created_at' => $now];
        DB::table('jobs')->insert([[...$job, 'available_at' => $later], [...$job, 'available_at' => $now, 'reserved_at' => $later]]);
        DB::table('cache_locks')->insert(['key' => 'drill', 'owner' => 'nobody', 'expiration' => $later + 2 * 86_400]);
        $this->makeUser()->forceFill(['totp_step' => intdiv($later, 30)])->save();
        self::assertSame(4, app(ResetClock::class)->execute());
        self::assertSame(0, app(ResetClock::class)->execute());
        DB::table('jobs')->delete();
    }

    public function test_who_was_kept_out_for_a_minute_is_not_kept_out_for_hours(): void
    {
        $limiter = new RateLimiter(Cache::store('database'));
        $limiter->hit('reach-drill', 60);
        $this->travelBack();
        self::assertTrue($limiter->tooManyAttempts('reach-drill', 1));
        app(ResetClock::class)->execute();
        self::assertFalse($limiter->tooManyAttempts('reach-drill', 1));
    }

    public function test_a_code_of_a_second_factor_is_taken_again(): void
    {
        $person = $this->makeUser();
        $this->actingAs($person);
        $secret = (string) $this->postJson('/api/v1/second-factor')->assertCreated()->json('secret');
        $this->putJson('/api/v1/second-factor', ['code' => Totp::ofSecret($secret)->at(now()->getTimestamp())])->assertOk();
        $this->travelBack();
        $signIn = function () use ($person, $secret): int {
            $this->app['auth']->forgetGuards();

            return $this->postJson('/api/v1/session', [
                'email' => $person->email, 'password' => 'correct horse', 'code' => Totp::ofSecret($secret)->at(now()->getTimestamp()),
            ])->getStatusCode();
        };
        self::assertSame(422, $signIn());
        app(ResetClock::class)->execute();
        self::assertSame(200, $signIn());
    }

    private function isTakenUp(): bool
    {
        $job = Queue::connection('database')->pop();
        $job?->delete();

        return $job !== null;
    }
}
