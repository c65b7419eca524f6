<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Comparisons\LearnEffects;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\FinishedItem;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What finished items teach of how many pages move, and what follows from it. */
final class LearnEffectsTest extends TestCase
{
    public function test_finished_items_past_their_ramp_teach_the_effect(): void
    {
        $study = $this->planned();
        self::assertSame([], $this->taughtBy($study));
        $this->finish($study, '2026-07');
        $finished = $this->taughtBy($study);
        self::assertCount(6, $finished);
        $said = PlanItem::of($study)->orderBy('name')->firstOrFail()->said;
        self::assertEquals($said?->finished(3), $finished[0], 'What was said of each is kept.');

        $learnt = Effects::learn(0, 0.0, $finished);
        $study->touchData();
        [, $model] = $this->command('reach:model', ['slug' => $study->slug]);
        $figures = array_column(self::readCsv($model), 'value', 'name');
        self::assertSame(['6', '0'], [$figures['effect_existing_items'], $figures['effect_new_items']]);
        self::assertEqualsWithDelta($learnt->existing->mean(), (float) $figures['effect_existing'], 1e-12);

        $this->actingAs($this->makeEditor($study));
        $told = $this->getJson("/api/v1/studies/{$study->slug}/effect")->assertOk()->json();
        self::assertSame([6, 0], [$told['existing']['items'], $told['new']['items']]);
        self::assertEqualsWithDelta($learnt->existing->mean(), $told['existing']['mean'], 1e-12);
        self::assertSame(3, array_sum(array_map(intval(...), array_column($told['finished'], 'reached'))), 'Three of six.');
    }

    public function test_the_rulebook_can_keep_to_the_assumption(): void
    {
        $study = $this->planned();
        $this->finish($study, '2026-07');
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['effect_learnt=no']]);
        self::assertSame([], $this->taughtBy($study->refresh()));
    }

    public function test_what_is_not_past_its_ramp_teaches_nothing(): void
    {
        $study = $this->planned();
        $this->finish($study, '2026-10');
        self::assertSame([], $this->taughtBy($study));
    }

    public function test_another_rulebook_is_asked_with_its_own_ramps(): void
    {
        $study = $this->planned();
        $this->finish($study, '2026-07');
        $ramps = ['ramp_new', 'ramp_extend', 'ramp_improve', 'ramp_refresh', 'ramp_merge'];
        $longer = $study->refresh()->rulebook()->with(array_fill_keys($ramps, '12'));
        self::assertSame([], app(LearnEffects::class)->finished($study->load('domains'), $longer));
        self::assertCount(6, $this->taughtBy($study));
    }

    public function test_a_finished_item_makes_the_comparison_anew_once_it_changes_the_effect(): void
    {
        $study = $this->planned();
        $this->finish($study, '2026-07');
        $version = $study->refresh()->data_version;
        $item = PlanItem::of($study)->orderBy('name')->firstOrFail();
        $this->actingAs($this->makeEditor($study));
        $this->patchJson("/api/v1/studies/{$study->slug}/plan/items/{$item->id}", ['version' => $item->version, 'owner' => 'Ada'])
            ->assertStatus(200);
        self::assertSame($version, $study->refresh()->data_version);
        $this->patchJson("/api/v1/studies/{$study->slug}/plan/items/{$item->id}", [
            'version' => $item->refresh()->version,
            'status' => 'published',
        ])->assertOk();
        self::assertSame($version + 1, $study->refresh()->data_version);
    }

    /** @return list<FinishedItem> */
    private function taughtBy(Study $study): array
    {
        return app(LearnEffects::class)->finished($study->refresh()->load('domains'), $study->rulebook());
    }

    /** Six keywords on the roadmap, of which three come to the third place later. */
    private function planned(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $list = static fn(\Closure $position): string => "keyword,position,volume,difficulty\n".
            implode('', array_map(static fn(int $number): string => "pen {$number},{$position($number)},900,20\n", range(1, 6)));
        $this->import($study, $list(static fn(): int => 12), options: ['--domain' => 'quillfair.example', '--date' => '2026-06-01']);
        $this->import($study, $list(static fn(): int => 2), options: ['--domain' => 'inkmoor.example', '--date' => '2026-06-01']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $study->refresh()->load('domains');
        $this->actingAs($this->makeEditor($study));
        $this->postJson("/api/v1/studies/{$study->slug}/plan/items", [
            'keywords' => array_map(static fn(int $number): string => "pen {$number}", range(1, 6)),
        ])->assertCreated();
        $this->import($study, $list(static fn(int $number): int => $number <= 3 ? 3 : 14), options: [
            '--domain' => 'quillfair.example',
            '--date' => '2026-11-01',
        ]);

        return $study->refresh()->load('domains');
    }

    private function finish(Study $study, string $month): void
    {
        DB::table('plan_items')->where('study_id', $study->id)->update(['status' => 'done', 'done_month' => $month]);
    }
}
