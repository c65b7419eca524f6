<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\PlanItem;
use App\Models\Study;
use Tests\TestCase;

/** Drafts beside the agreed plan: what is laid elsewhere in one leaves the agreed plan as it is, until somebody agrees. */
final class PlanDraftTest extends TestCase
{
    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $this->study,
            "keyword,position,volume,difficulty\nbig pen,12,2000,20\nfine nib,9,500,30\nink well,30,900,40\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($this->study->refresh()));
        $this->actingAs($this->makeEditor($this->study));
        $this->postJson($this->at('plan/items'), ['keywords' => ['big pen', 'fine nib', 'ink well']])
            ->assertCreated()
            ->assertJsonPath('added', 3);
        $this->patchJson($this->at('plan'), ['start' => '2026-12', 'months' => 3, 'capacity' => 4])->assertOk();
        $this->patchJson($this->at('plan/items/'.$this->item('big pen')->id), [
            'version' => 1,
            'month' => '2026-12',
            'effort_days' => 6,
        ])->assertOk();
    }

    private function at(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }

    private function item(string $keyword): PlanItem
    {
        return PlanItem::query()->where('study_id', $this->study->id)->where('name', $keyword)->firstOrFail();
    }

    private function draft(string $name = 'spring push'): int
    {
        return $this->postJson($this->at('plan/drafts'), ['name' => $name])->assertCreated()->json('id');
    }

    /** @return array<string, ?string> keyword → month */
    private function months(?int $draft = null): array
    {
        return array_column(
            $this->getJson($this->at('plan'.($draft === null ? '' : "?draft={$draft}")))->assertOk()->json('items'),
            'month',
            'name',
        );
    }

    public function test_work_larger_than_a_month_goes_on_in_the_next_and_pays_from_its_end(): void
    {
        $plan = $this->getJson($this->at('plan'))->assertOk()->json();
        $item = array_column($plan['items'], null, 'name')['big pen'];
        self::assertSame(['2026-12' => 4, '2027-01' => 2], $item['spread']);
        self::assertSame(['2026-12' => 4, '2027-01' => 2], $plan['loads']);
        self::assertEquals([0, 0], [$plan['forecast'][0]['mean'], $plan['forecast'][1]['mean']], 'Nothing comes before the work is done.');
        self::assertGreaterThan(0, $plan['forecast'][2]['mean']);
    }

    public function test_a_draft_begins_as_a_copy_and_moves_by_itself(): void
    {
        $draft = $this->draft();
        self::assertSame($this->months(), $this->months($draft));
        $this->patchJson($this->at("plan/drafts/{$draft}"), [
            'version' => 1,
            'capacity' => 8,
            'changes' => [['item' => $this->item('big pen')->id, 'to' => null], ['item' => $this->item('ink well')->id, 'to' => '2027-02']],
        ])
            ->assertOk()
            ->assertJsonPath('version', 2);
        self::assertEquals(['big pen' => null, 'fine nib' => null, 'ink well' => '2027-02'], $this->months($draft));
        self::assertEquals(['big pen' => '2026-12', 'fine nib' => null, 'ink well' => null], $this->months());
        $this->patchJson($this->at("plan/drafts/{$draft}"), ['version' => 1, 'changes' => []])->assertStatus(409);
        $plans = $this->getJson($this->at('plan'))->json('plans');
        self::assertEquals(
            [['agreed', 1, 6], ['spring push', 1, $this->item('ink well')->effort_days]],
            array_map(static fn(array $plan): array => [$plan['name'], $plan['items'], $plan['days']], $plans),
        );
        $copy = $this->postJson($this->at('plan/drafts'), ['name' => 'a copy', 'from' => $draft])
            ->assertCreated()
            ->json('id');
        self::assertSame($this->months($draft), $this->months($copy));
    }

    public function test_agreed_a_draft_becomes_the_plan_with_its_frame_and_can_be_undone(): void
    {
        $draft = $this->draft();
        $this->patchJson($this->at("plan/drafts/{$draft}"), [
            'version' => 1,
            'months' => 5,
            'changes' => [['item' => $this->item('fine nib')->id, 'to' => '2027-03']],
        ])->assertOk();
        $change = $this->postJson($this->at("plan/drafts/{$draft}/agree"))->assertOk()->json('change');
        self::assertEquals(['big pen' => '2026-12', 'fine nib' => '2027-03', 'ink well' => null], $this->months());
        $this->getJson($this->at('plan'))->assertJsonPath('months', 5);
        $this->postJson($this->at('plan/undo'), ['change' => $change])->assertOk();
        self::assertEquals(['big pen' => '2026-12', 'fine nib' => null, 'ink well' => null], $this->months());
        $this->getJson($this->at('plan'))->assertJsonPath('months', 3);
    }

    public function test_what_is_done_lies_in_every_draft_where_it_was_done(): void
    {
        $draft = $this->draft();
        $this->patchJson($this->at('plan/items/'.$this->item('big pen')->id), ['version' => 2, 'status' => 'done'])->assertOk();
        $this->patchJson($this->at("plan/drafts/{$draft}"), [
            'version' => 1,
            'changes' => [['item' => $this->item('big pen')->id, 'to' => '2027-02']],
        ])->assertOk();
        self::assertSame('2026-12', $this->months($draft)['big pen']);
        $this->postJson($this->at("plan/drafts/{$draft}/agree"))->assertOk();
        self::assertSame('2026-12', $this->item('big pen')->month);
    }

    public function test_the_auto_plan_proposes_for_a_draft_by_its_own_frame(): void
    {
        $draft = $this->draft();
        $this->patchJson($this->at("plan/drafts/{$draft}"), [
            'version' => 1,
            'start' => '2027-06',
            'months' => 1,
            'capacity' => 20,
        ])->assertOk();
        $changes = $this->getJson($this->at("plan/proposal?draft={$draft}"))->assertOk()->json('changes');
        self::assertSame(['2027-06'], array_values(array_unique(array_column($changes, 'to'))));
    }

    public function test_bad_drafts_are_refused_with_what_to_do(): void
    {
        $draft = $this->draft();
        $this->postJson($this->at('plan/drafts'), ['name' => 'spring push'])
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'A draft "spring push" already exists. Choose another name.');
        $this->postJson($this->at('plan/drafts'), ['name' => ''])->assertUnprocessable();
        $this->patchJson($this->at("plan/drafts/{$draft}"), [
            'version' => 1,
            'changes' => [['item' => $this->item('big pen')->id, 'to' => 'soon']],
        ])->assertUnprocessable();
        foreach (range(2, 12) as $number) {
            $this->draft('draft '.$number);
        }
        $this->postJson($this->at('plan/drafts'), ['name' => 'one too many'])->assertUnprocessable();
        $other = $this->makeStudy();
        $this->actingAs($this->makeEditor($other))->getJson("/api/v1/studies/{$other->slug}/plan?draft={$draft}")->assertNotFound();
        $this->actingAs($this->makeEditor($this->study, 'reader'))->deleteJson($this->at("plan/drafts/{$draft}"))->assertForbidden();
        $this->actingAs($this->makeEditor($this->study))->deleteJson($this->at("plan/drafts/{$draft}"))->assertOk();
        $this->getJson($this->at("plan?draft={$draft}"))->assertNotFound();
    }

    public function test_a_finished_item_is_shown_with_the_clicks_that_were_measured(): void
    {
        $this->patchJson($this->at('plan/items/'.$this->item('big pen')->id), ['version' => 2, 'status' => 'done'])->assertOk();
        $this->import(
            $this->study,
            "query,clicks,impressions,position,date\nbig pen,4,90,12,2026-09-20\nbig pen,1,30,12,2026-09-28\nbig "
                ."pen,7,100,9,2026-10-05\nold pen,1,9,9,2026-10-05\n",
            'performance',
            ['--date' => '2026-11-01'],
        );
        $this->import($this->study, "query,clicks,impressions,position\nBig Pen,12,140,6\n", 'performance', ['--date' => '2026-11-20']);
        $this->import($this->study, "query,clicks,impressions,position,date\nbig pen,8,110,9,2026-10-31\n", 'performance', [
            '--date' => '2026-11-21',
        ]);
        self::assertSame(
            [
                ['day' => '2026-09-28', 'clicks' => 5, 'impressions' => 120, 'brand_clicks' => 0],
                ['day' => '2026-10-31', 'clicks' => 8, 'impressions' => 110, 'brand_clicks' => 0],
                ['day' => '2026-11-20', 'clicks' => 12, 'impressions' => 140, 'brand_clicks' => 0],
            ],
            $this->getJson($this->at('track'))->assertOk()->json('items.0.clicks'),
            'By month, of two lists about one month the newer.',
        );
    }
}
