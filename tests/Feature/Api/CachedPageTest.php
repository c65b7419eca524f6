<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Plans\PlanState;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\StudyState;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** The ranked list is told from memory until something changes: whatever anybody does is seen with the next question. */
final class CachedPageTest extends TestCase
{
    private function weighed(): Study
    {
        $study = $this->makeStudy();
        $list = static fn(int $first): string => implode("\n", [
            'keyword,position,volume,difficulty', "red pen,{$first},900,20", 'blue pen,9,700,30', 'pen case,12,300,40', '',
        ]);
        foreach (['quillfair.example' => 14, 'nibhouse.example' => 2] as $domain => $first) {
            $this->import($study, $list($first), options: ['--domain' => $domain, '--date' => '2026-11-01']);
        }
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));

        return $study;
    }

    /** @return array{rows: list<array<string, mixed>>, total: int} */
    private function list(Study $study, string $asked = ''): array
    {
        /** @var array{rows: list<array<string, mixed>>, total: int} */
        return $this->getJson("/api/v1/studies/{$study->slug}/opportunities{$asked}")->assertOk()->json();
    }

    /** @return array<string, mixed> the row of a keyword, with what was decided about it */
    private function row(Study $study, string $keyword): array
    {
        $rows = array_column($this->list($study)['rows'], null, 'keyword');
        self::assertArrayHasKey($keyword, $rows);

        return $rows[$keyword];
    }

    /** Lists that are remembered, by their address. */
    private const LISTS = ['opportunities', 'opportunities/topics', 'bench', 'bench/summary', 'bench/summary?steps=1'];

    /** @return array<string, string> what each list says at the third asking, by which it is told from memory */
    private function told(Study $study): array
    {
        $asked = array_combine(self::LISTS, self::LISTS);
        $all = fn(): array => array_map(
            fn(string $list): string => (string) $this->getJson("/api/v1/studies/{$study->slug}/{$list}")->assertOk()->getContent(),
            $asked,
        );
        $told = [$all(), $all(), $all()];
        self::assertCount(1, array_unique(array_map(json_encode(...), $told)));

        return $told[0];
    }

    public function test_it_is_told_again_without_reading_a_row(): void
    {
        $study = $this->weighed();
        $first = $this->told($study);
        $asked = [];
        DB::listen(static function ($query) use (&$asked): void {
            $asked[] = $query->sql;
        });
        self::assertSame($first, $this->told($study));
        self::assertSame([], preg_grep('/comparison_rows|comparison_topics|decisions/', $asked));
        foreach (['opportunities', 'opportunities/topics'] as $list) {
            $asked = [];
            $this->getJson("/api/v1/studies/{$study->slug}/{$list}?weights=volume:1")->assertOk();
            self::assertNotSame([], preg_grep('/comparison_/', $asked), 'Weights of one’s own are reckoned each time.');
        }
    }

    public function test_a_page_is_kept_when_it_is_asked_for_a_second_time(): void
    {
        $study = $this->weighed();
        $read = 0;
        DB::listen(static function ($query) use (&$read): void {
            $read += preg_match('/FROM comparison_rows/i', str_replace('"', '', $query->sql));
        });
        $reads = [];
        for ($time = 0; $time < 4; ++$time) {
            $this->list($study, '?limit=2');
            $reads[] = $read;
        }
        self::assertGreaterThan($reads[0], $reads[1]);
        self::assertSame([$reads[1], $reads[1]], [$reads[2], $reads[3]]);
    }

    public function test_what_another_release_said_is_not_told(): void
    {
        $study = $this->weighed();
        $this->told($study);
        $read = 0;
        DB::listen(static function ($query) use (&$read): void {
            $read += preg_match('/FROM comparison_rows/i', str_replace('"', '', $query->sql));
        });
        $this->list($study);
        self::assertSame(0, $read);
        config(['reach.release' => 'another']);
        $this->list($study);
        self::assertGreaterThan(0, $read);
    }

    public function test_what_somebody_decides_notes_tags_and_undoes_is_seen_at_once(): void
    {
        $study = $this->weighed();
        $decide = fn(array $what): int => (int) $this
            ->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['blue pen'], ...$what])
            ->assertOk()
            ->json('change');
        foreach ([['mark' => 'shortlisted'], ['note' => 'ask the shop'], ['fit' => 1], ['tag' => 'spring'], ['pinned' => true]] as $what) {
            $told = $this->told($study);
            $before = $this->row($study, 'blue pen');
            $change = $decide($what);
            self::assertNotSame($told, $this->told($study), (string) json_encode($what));
            self::assertNotEquals($before, $this->row($study, 'blue pen'), (string) json_encode($what));
            $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $change])->assertOk();
            self::assertSame($told, $this->told($study), (string) json_encode($what));
        }
    }

    public function test_other_rules_and_other_data_give_another_list(): void
    {
        $study = $this->weighed();
        [$before, $told] = [$this->list($study), $this->told($study)];
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['weights=volume:1']]);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $after = $this->list($study);
        self::assertNotSame($before, $after);
        self::assertNotSame($told['opportunities/topics'], $this->told($study)['opportunities/topics']);
        $this->import($study, "keyword,position,volume,difficulty\nnew pen,4,50,10\n", options: [
            '--domain' => 'nibhouse.example', '--date' => '2026-11-02',
        ]);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        self::assertContains('new pen', array_column($this->list($study)['rows'], 'keyword'));
    }

    public function test_two_questions_of_different_size_place_sentence_or_order_are_two(): void
    {
        $study = $this->weighed();
        $asked = ['', '?limit=1', '?limit=1&cursor=1', '?sort=difficulty', '?sort=keyword&dir=asc', '?show='.urlencode('volume>=700')];
        $all = fn(): array => array_map(fn(string $asked): array => $this->list($study, $asked), $asked);
        $lists = $all();
        self::assertSame([$lists, $lists], [$all(), $all()]);
        self::assertCount(\count($asked), array_unique(array_map(json_encode(...), $lists)));
    }

    public function test_beside_decisions_a_state_goes_by_rules_roadmap_and_data_alone(): void
    {
        $study = $this->weighed();
        $state = static fn(): string => PlanState::besideDecisions($study->refresh());
        $seen = [$state()];
        $change = $this
            ->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['red pen'], 'mark' => 'shortlisted'])
            ->assertOk()
            ->json('change');
        $seen[] = $state();
        $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $change])->assertOk();
        $seen[] = $state();
        self::assertCount(1, array_unique($seen));
        $seen = [$state()];
        $this->postJson("/api/v1/studies/{$study->slug}/plan/items", ['keywords' => ['red pen']])->assertSuccessful();
        $seen[] = $state();
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['weights=volume:1']]);
        $seen[] = $state();
        $this->import($study, "keyword,position\nnew pen,4\n", options: ['--domain' => 'nibhouse.example', '--date' => '2026-11-02']);
        $seen[] = $state();
        self::assertSame($seen, array_values(array_unique($seen)));
    }

    public function test_the_month_in_review_forecasts_from_where_the_plan_begins_now(): void
    {
        $study = $this->weighed();
        $this->postJson("/api/v1/studies/{$study->slug}/plan/items", ['keywords' => ['red pen']])->assertStatus(201);
        $item = PlanItem::query()->where('study_id', $study->id)->sole();
        $begin = fn(string $start) => $this
            ->patchJson("/api/v1/studies/{$study->slug}/plan", ['start' => $start, 'months' => 3, 'capacity' => 4])->assertOk();
        $heading = '<th class="n">2031-08</th>';
        $begin('2026-12');
        $planned = ['version' => $item->version, 'month' => '2026-12'];
        $this->patchJson("/api/v1/studies/{$study->slug}/plan/items/{$item->id}", $planned)->assertOk();
        $review = fn(): string => (string) $this->get("/api/v1/studies/{$study->slug}/exports/review.html")->assertOk()->getContent();
        self::assertStringContainsString('<th class="n">2026-12</th>', $review());
        self::assertStringNotContainsString($heading, $review());
        $begin('2031-03');
        self::assertStringContainsString($heading, $review());
    }

    public function test_a_state_of_a_study_never_comes_again(): void
    {
        $study = $this->weighed();
        $seen = [StudyState::of($study->id)];
        $changes = [];
        foreach (['red pen', 'blue pen'] as $keyword) {
            $changes[] = $this
                ->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => [$keyword], 'mark' => 'shortlisted'])
                ->json('change');
            $seen[] = StudyState::of($study->id);
        }
        foreach ($changes as $change) {
            $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $change])->assertOk();
            $seen[] = StudyState::of($study->id);
        }
        self::assertSame($seen, array_values(array_unique($seen)));
    }

    public function test_figures_are_others_only_for_what_can_change_one(): void
    {
        $study = $this->weighed();
        $decide = fn(array $order): int => $this
            ->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['red pen'], ...$order])
            ->assertOk()->json('change');
        $undo = fn(int $change) => $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $change])->assertOk();
        $state = static fn(): string => StudyState::ofFigures($study->id);
        $before = $state();
        $shortlisted = $decide(['mark' => 'shortlisted', 'reason' => 'good margin']);
        $decide(['note' => 'ask the shop']);
        $decide(['tag' => 'spring']);
        $decide(['pinned' => true]);
        $undo($shortlisted);
        self::assertSame($before, $state());
        $seen = [$before];
        $setAside = $decide(['mark' => 'set aside']);
        $seen[] = $state();
        $decide(['mark' => 'shortlisted']);
        $seen[] = $state();
        $decide(['mark' => null]);
        self::assertSame($seen[2], $state(), 'It was no more set aside.');
        foreach (['fit' => 4, 'intent' => 'buy', 'stage' => 'top', 'target' => 2, 'topic' => 'pens', 'difficulty' => 7] as $what => $said) {
            $decide([$what => $said, 'mark' => 'shortlisted']);
            $seen[] = $state();
        }
        $undo($setAside);
        $seen[] = $state();
        self::assertSame($seen, array_values(array_unique($seen)));
    }
}
