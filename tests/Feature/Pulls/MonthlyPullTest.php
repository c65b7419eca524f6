<?php

declare(strict_types=1);

namespace Tests\Feature\Pulls;

use App\Actions\Pulls\SchedulePulls;
use App\Actions\Tasks\StartDuePulls;
use App\Jobs\RunTask;
use App\Models\Study;
use App\Models\Task;
use App\Support\Sources\Sources;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A study that pulls by itself on a day of the month. */
final class MonthlyPullTest extends TestCase
{
    protected function tearDown(): void
    {
        Carbon::setTestNow();
        CarbonImmutable::setTestNow();
        parent::tearDown();
    }

    /** @return iterable<string, array{int, string, string, string}> day, today → the newest due day, the next one */
    public static function days(): iterable
    {
        yield 'before the day' => [5, '2026-03-04', '2026-02-05', '2026-03-05'];
        yield 'on the day' => [5, '2026-03-05', '2026-03-05', '2026-04-05'];
        yield 'after it, at the end of the year' => [28, '2027-01-03', '2026-12-28', '2027-01-28'];
    }

    #[DataProvider('days')]
    public function test_the_day_comes_once_a_month(int $day, string $today, string $due, string $next): void
    {
        $now = CarbonImmutable::parse($today.' 13:00');
        self::assertSame($due, SchedulePulls::due($day, $now)->toDateString());
        self::assertSame($next, SchedulePulls::next($day, $now)->toDateString());
    }

    public function test_it_starts_on_its_day_once_and_catches_up_what_was_missed(): void
    {
        Queue::fake();
        self::at('2026-03-04');
        $study = $this->scheduled(5);
        self::assertSame(0, $this->start(), 'Not yet.');
        self::at('2026-03-05');
        self::assertSame([1, 0], [$this->start(), $this->start()]);
        $task = Task::query()->where('study_id', $study->id)->sole();
        self::assertSame(['Monthly pull from stand-in', null], [$task->title, $task->user_id]);
        Queue::assertPushed(RunTask::class);
        // The server was down over two of its days.
        self::at('2026-05-20');
        self::assertSame([1, 0], [$this->start(), $this->start()]);
        self::at('2026-06-05');
        self::assertSame(1, $this->start());
    }

    public function test_it_is_shown_and_ended(): void
    {
        self::at('2026-03-06');
        $study = $this->scheduled(5);
        $this->getJson("/api/v1/studies/{$study->slug}")->assertOk()
            ->assertJsonPath('pull_schedule', ['source' => 'stand-in', 'day' => 5, 'next' => '2026-04-05']);
        $this->putJson("/api/v1/studies/{$study->slug}/pull-schedule", ['source' => 'stand-in', 'day' => 29])->assertStatus(422);
        $this->putJson("/api/v1/studies/{$study->slug}/pull-schedule", ['source' => 'nobody', 'day' => 2])->assertStatus(422);
        $this->deleteJson("/api/v1/studies/{$study->slug}/pull-schedule")->assertOk();
        $this->getJson("/api/v1/studies/{$study->slug}")->assertOk()->assertJsonPath('pull_schedule', null);
        self::at('2026-04-05');
        self::assertSame(0, $this->start());
    }

    private function scheduled(int $day): Study
    {
        config(['sources.connected.stand-in.url' => 'http://127.0.0.1:9', 'sources.connected.stand-in.key' => 'key']);
        app()->forgetInstance(Sources::class);
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->putJson("/api/v1/studies/{$study->slug}/pull-schedule", ['source' => 'stand-in', 'day' => $day])->assertOk();

        return $study;
    }

    private function start(): int
    {
        return app(StartDuePulls::class)->execute();
    }

    private static function at(string $day): void
    {
        Carbon::setTestNow($day.' 09:00');
        CarbonImmutable::setTestNow($day.' 09:00');
    }
}
