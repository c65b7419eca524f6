<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Plans\CachedDraws;
use App\Jobs\PrepareReview;
use App\Jobs\RefreshComparison;
use App\Models\Study;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Winning\Shifts;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** The month in review is worked out before it is opened: behind what opens a study, changes its decisions or its roadmap, or compares. */
final class PrepareReviewAfterResponseTest extends TestCase
{
    private function planned(): Study
    {
        $study = $this->makeStudy();
        $list = static fn(int $first): string => "keyword,position,volume,difficulty\nred pen,{$first},900,20\nblue pen,9,700,30\n";
        foreach (['quillfair.example' => 14, 'nibhouse.example' => 2] as $domain => $first) {
            $this->import($study, $list($first), options: ['--domain' => $domain, '--date' => '2026-11-01']);
        }
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));

        return $study->refresh();
    }

    private function at(Study $study, string $path = ''): string
    {
        return rtrim("/api/v1/studies/{$study->slug}/{$path}", '/');
    }

    public function test_it_is_ordered_behind_what_can_change_it_and_behind_nothing_else(): void
    {
        $study = $this->planned();
        $queue = Queue::fake();
        $ordered = static fn(): int => $queue->pushed(PrepareReview::class)->count();
        $this->getJson($this->at($study))->assertOk();
        self::assertSame(1, $ordered());
        Queue::assertPushedOn(
            'short',
            PrepareReview::class,
            static fn(PrepareReview $job): bool => $job->studyId === $study->id && $job->delay > 0,
        );
        $this->postJson($this->at($study, 'decisions'), ['keywords' => ['red pen'], 'mark' => 'set aside'])->assertOk();
        self::assertSame(1, $ordered(), 'One waits already, and will see this change as well.');
        $later = function (string $method, string $path, array $body = []) use ($study, $queue): void {
            $queue->releaseUniqueJobLocks();
            $this->json($method, $this->at($study, $path), $body);
        };
        $later('GET', 'plan');
        $later('POST', 'decisions', ['keywords' => []]);
        self::assertSame(1, $ordered(), 'Neither what only reads nor what was refused.');
        $later('POST', 'decisions', ['keywords' => ['red pen'], 'mark' => null]);
        self::assertSame(2, $ordered());
        $later('POST', 'plan/items', ['keywords' => ['red pen']]);
        self::assertSame(3, $ordered());
        $queue->releaseUniqueJobLocks();
        app()->call([new RefreshComparison($study->id), 'handle']);
        self::assertSame(4, $ordered());
    }

    public function test_whoever_opens_it_then_waits_for_no_row(): void
    {
        $study = $this->planned();
        $this->postJson($this->at($study, 'plan/items'), ['keywords' => ['red pen']])->assertStatus(201);
        Queue::fake();
        $this->postJson($this->at($study, 'decisions'), ['keywords' => ['blue pen'], 'mark' => 'set aside'])->assertOk();
        app()->call([new PrepareReview($study->id), 'handle']);
        $asked = [];
        DB::listen(static function ($query) use (&$asked): void {
            $asked[] = $query->sql;
        });
        $this->get($this->at($study, 'exports/review.html'))->assertOk();
        self::assertSame([], preg_grep('/comparison_rows|comparison_topics|rankings|plan_items" where.*order/', $asked));
        self::assertNotSame([], $asked);
    }

    public function test_a_study_that_is_gone_or_was_never_compared_is_passed_over(): void
    {
        $study = $this->makeStudy();
        app()->call([new PrepareReview($study->id), 'handle']);
        app()->call([new PrepareReview(987_654), 'handle']);
        self::assertNull($study->refresh()->comparison_id);
    }

    public function test_of_a_plan_only_what_promises_something_else_is_drawn_anew(): void
    {
        $study = $this->makeStudy();
        $item = static fn(string $name, float $success): ForecastItem
            => new ForecastItem($name, PlaceGains::title(80.0, $success), Season::steady(), Month::parse('2026-12'), 3);
        $drawn = [];
        $draw = static function (ForecastItem $item) use (&$drawn): array {
            $drawn[] = $item->name;

            return [$item->gains->mean(new Shifts(0.0, 0.0)) / 80, 1 / 3];
        };
        $told = CachedDraws::of($study)->drawn([$item('a', .25), $item('7', .5)], $draw);
        self::assertSame(['a' => [.25, 1 / 3], 7 => [.5, 1 / 3]], $told);
        self::assertSame($told, CachedDraws::of($study)->drawn([$item('a', .25), $item('7', .5)], $draw));
        self::assertSame(['a', '7'], $drawn);
        $other = CachedDraws::of($study)->drawn([$item('a', .75), $item('7', .5)], $draw);
        self::assertSame([['a' => [.75, 1 / 3], 7 => [.5, 1 / 3]], ['a', '7', 'a']], [$other, $drawn]);
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['seed=5']]);
        CachedDraws::of($study->refresh())->drawn([$item('a', .75)], $draw);
        self::assertSame(['a', '7', 'a', 'a'], $drawn, 'Another seed, other draws.');
        self::assertSame([], CachedDraws::of($study)->drawn([], $draw));
    }
}
