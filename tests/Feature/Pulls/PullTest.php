<?php

declare(strict_types=1);

namespace Tests\Feature\Pulls;

use App\Models\Study;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Sleep;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Pulls over real HTTP from the stand-in, which is told to misbehave now and then. */
final class PullTest extends TestCase
{
    private StandIn $standIn;

    protected function setUp(): void
    {
        parent::setUp();
        $this->standIn = StandIn::start();
        $this->standIn->connect();
        Sleep::fake();
    }

    protected function tearDown(): void
    {
        $this->standIn->stop();
        Storage::deleteDirectory('pulls');
        parent::tearDown();
    }

    public function test_a_pull_fills_the_study_with_everything_the_source_has(): void
    {
        $study = $this->apiary();
        [$code, $printed] = $this->command('reach:pull', ['slug' => $study->slug, '--date' => '2026-10-20']);
        self::assertSame(0, $code, $printed);
        self::assertStringContainsString('of 2026-10-01.', $printed);
        $count = static fn(string $table): int => DB::table($table)->where('study_id', $study->id)->count();
        self::assertSame(4, $count('live_snapshots'), 'Two domains, organic and paid.');
        self::assertGreaterThan(400, $count('rankings'));
        self::assertGreaterThan(2000, $count('results'));
        self::assertGreaterThan(50, $count('performance'));
        self::assertGreaterThan(100, $count('live_links'));
        self::assertGreaterThan(20, $count('live_pages'));
        self::assertGreaterThan(20, $count('live_page_links'));
        self::assertGreaterThan(1, DB::table('live_links')->where('study_id', $study->id)->groupBy('domain')
            ->selectRaw('count(DISTINCT target_url) AS pages')->pluck('pages')->max(), 'Some link to more than one.');
        self::assertSame([38.0, 41.0], $study->refresh()->domains->pluck('authority')->all());
        self::assertSame([], Storage::allFiles('pulls'));
    }

    public function test_rate_limits_and_failures_are_waited_out(): void
    {
        $study = $this->apiary();
        $this->standIn->misbehave(['429', 'ok', '500', '429', 'cut', 'ok']);
        [$code, $printed] = $this->command('reach:pull', ['slug' => $study->slug, '--domain' => 'hivewright.example']);
        self::assertSame(0, $code, $printed);
        Sleep::assertSleptTimes(4);
    }

    /** @return iterable<string, array{int, int, int}> seconds the source asks to wait → pauses, code */
    public static function waits(): iterable
    {
        yield 'the longest that is waited' => [30, 1, 0];
        yield 'a second more' => [31, 0, 1];
    }

    #[DataProvider('waits')]
    public function test_a_source_that_asks_to_wait_too_long_is_asked_again_later(int $seconds, int $pauses, int $expected): void
    {
        $study = $this->apiary();
        $this->standIn->misbehave(['429 '.$seconds]);
        [$code, $printed] = $this->command('reach:pull', ['slug' => $study->slug, '--domain' => 'hivewright.example']);
        self::assertSame($expected, $code, $printed);
        Sleep::assertSleptTimes($pauses);
        self::assertSame($expected === 1, str_contains($printed, "asks to wait {$seconds} seconds"));
    }

    public function test_a_pull_that_breaks_off_keeps_nothing_and_goes_on_where_it_was(): void
    {
        $study = $this->apiary();
        $this->standIn->misbehave(['ok', 'ok', 'ok', 'ok', '500', '500', '500', '500', '500']);
        [$code, $printed] = $this->command('reach:pull', ['slug' => $study->slug]);
        self::assertSame(1, $code);
        self::assertStringContainsString('be reached', $printed);
        self::assertSame(0, substr_count(trim($printed), "\n"));
        self::assertSame([0, 0], [DB::table('rankings')->where('study_id', $study->id)->count(), $study->imports()->count()]);
        $aside = Storage::allFiles('pulls');
        self::assertNotSame([], $aside);
        [$code] = $this->command('reach:pull', ['slug' => $study->slug]);
        self::assertSame(0, $code);
        $whole = $this->apiary();
        $this->command('reach:pull', ['slug' => $whole->slug]);
        $kept = static fn(Study $of): array => DB::select(
            'SELECT keyword, position, url, ordinal FROM rankings WHERE study_id = ? ORDER BY snapshot_id, keyword, ordinal',
            [$of->id],
        );
        self::assertEquals($kept($whole), $kept($study), 'What was pulled in two goes is what is pulled in one.');
    }

    public function test_a_wrong_key_an_unknown_source_and_unknown_domains_are_told(): void
    {
        config(['sources.connected.stand-in.key' => 'wrong']);
        app()->forgetInstance(\App\Support\Sources\Sources::class);
        $study = $this->makeStudy();
        $refuses = fn(array $options): string => $this->command('reach:pull', ['slug' => $study->slug, ...$options])[1];
        self::assertStringContainsString('refused with 401', $refuses([]));
        self::assertStringContainsString('No source is called "elsewhere"', $refuses(['--source' => 'elsewhere']));
        $this->standIn->connect();
        self::assertStringContainsString('has no rankings of quillfair.example', $refuses([]));
        self::assertStringContainsString('has no rankings on or before 2020-01-01', $refuses(['--date' => '2020-01-01']));
    }

    public function test_a_pull_through_the_api_is_long_work(): void
    {
        $study = $this->apiary();
        $this->actingAs($this->makeEditor($study));
        $second = $study->domains->skip(1)->firstOrFail();
        $this->postJson("/api/v1/studies/{$study->slug}/pulls", ['source' => 'stand-in', 'domain' => $second->id])
            ->assertStatus(202)
            ->assertJsonPath('status', 'done');
        self::assertSame(2, DB::table('live_snapshots')->where('study_id', $study->id)->count());
        $this->postJson("/api/v1/studies/{$study->slug}/pulls", ['source' => 'nowhere'])->assertStatus(422);
    }

    public function test_what_a_brief_asks_of_the_source_is_asked_when_its_page_is_planned_and_good_for_a_day(): void
    {
        $study = $this->makeStudy(['skepandsmoker.example'], 'thornfield-apiary.example');
        $this->command('reach:pull', ['slug' => $study->slug, '--date' => '2026-10-20']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study->refresh()));
        $at = "/api/v1/studies/{$study->slug}";
        $topics = array_column($this->getJson("{$at}/opportunities/topics?limit=8")->assertOk()->json('rows'), 'topic');
        $this->postJson("{$at}/plan/items", ['topics' => $topics])->assertCreated();
        // Nobody is asked any more.
        $this->standIn->stop();
        $told = ['questions' => 0, 'rivals' => 0, 'page_one' => 0, 'prospects' => 0];
        foreach (DB::table('plan_items')->where('study_id', $study->id)->pluck('id') as $item) {
            $brief = $this->getJson("{$at}/plan/items/{$item}/brief")->assertOk()->json();
            $told['questions'] += \count($brief['questions']);
            $told['rivals'] += \count($brief['rivals'][0]['headings'] ?? []);
            $told['page_one'] += \count($brief['page_one']);
            $told['prospects'] += \count($brief['prospects']);
        }
        self::assertSame([], array_keys($told, 0, true));
    }

    private function apiary(): Study
    {
        return $this->makeStudy(['hivewright.example'], 'thornfield-apiary.example');
    }
}
