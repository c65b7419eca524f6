<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Comparisons\LearnEffect;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Winning\Effect;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What finished items teach of how many pages move, and what follows from it. */
final class LearnEffectTest extends TestCase
{
    public function test_finished_items_past_their_ramp_teach_the_effect(): void
    {
        $study = $this->planned();
        self::assertEquals(Effect::assumed(.5), app(LearnEffect::class)->execute($study));
        $this->finish($study, '2026-07');
        $learnt = app(LearnEffect::class)->execute($study->refresh()->load('domains'));
        self::assertTrue($learnt->isLearnt);
        self::assertSame(6, $learnt->items);
        // Three of six are at their target, and what was said of each is kept.
        $items = PlanItem::of($study)->orderBy('name')->get();
        $said = $items->map(static fn(PlanItem $item): array => [
            'reach' => $item->said->reach ?? 0.0,
            'reached' => \in_array($item->name, ['pen 1', 'pen 2', 'pen 3'], true),
        ]);
        self::assertEqualsWithDelta(Effect::learn(array_values($said->all()), .5)->share, $learnt->share, 1e-12);

        [, $model] = $this->command('reach:model', ['slug' => $study->slug]);
        $figures = array_column(self::readCsv($model), 'value', 'name');
        self::assertSame('6', $figures['effect_items']);
        self::assertEqualsWithDelta($learnt->share, (float) $figures['effect'], 1e-12);

        $this->actingAs($this->makeEditor($study));
        $told = $this->getJson("/api/v1/studies/{$study->slug}/effect")->assertOk()->json();
        self::assertSame([6, true], [$told['items'], $told['learnt']]);
        self::assertSame(3, array_sum(array_map(intval(...), array_column($told['finished'], 'reached'))));
    }

    public function test_the_rulebook_can_keep_to_the_assumption_and_the_count_is_told_all_the_same(): void
    {
        $study = $this->planned();
        $this->finish($study, '2026-07');
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['effect_learnt=no', 'effect=.2']]);
        self::assertEquals(Effect::assumed(.2, 6), app(LearnEffect::class)->execute($study->refresh()->load('domains')));
    }

    public function test_what_is_not_past_its_ramp_teaches_nothing(): void
    {
        $study = $this->planned();
        $this->finish($study, '2026-10');
        self::assertSame(0, app(LearnEffect::class)->execute($study->refresh()->load('domains'))->items);
    }

    public function test_another_rulebook_is_asked_with_its_own_ramps(): void
    {
        $study = $this->planned();
        $this->finish($study, '2026-07');
        $study->refresh()->load('domains');
        $ramps = ['ramp_new', 'ramp_extend', 'ramp_improve', 'ramp_refresh', 'ramp_merge'];
        $longer = $study->rulebook()->with(array_fill_keys($ramps, '12'));
        self::assertSame(0, app(LearnEffect::class)->by($study, $longer)->items);
        self::assertSame(6, app(LearnEffect::class)->by($study, $study->rulebook())->items);
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
