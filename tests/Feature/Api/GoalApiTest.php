<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use Tests\TestCase;

/** A goal on the plan: what it takes, what is the most that can be reached, and the plan that does it as a draft. */
final class GoalApiTest extends TestCase
{
    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $list = static fn(int $position): string => "keyword,position,volume,difficulty\n".implode('', array_map(
            static fn(int $number, string $name): string => "{$name},".($position + $number).','.(300 * $number).",20\n",
            range(1, 6),
            ['big pen', 'blue ink', 'wax seal', 'pencil case', 'paper knife', 'desk lamp'],
        ));
        $this->import($this->study, $list(9), options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($this->study, $list(1), options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->study->refresh()->load('domains');
        $this->actingAs($this->makeEditor($this->study));
        $this->patchJson($this->at('plan'), ['start' => '2027-01', 'months' => 3, 'capacity' => 4])->assertOk();
    }

    public function test_goals_from_small_to_out_of_reach_are_answered_as_the_command_does(): void
    {
        $capacities = [];
        foreach ([1, 30, 1_000_000] as $goal) {
            $answer = $this->getJson($this->at("plan/goal?goal={$goal}&until=2027-06&odds=.5"))->assertOk()->json();
            [$code, $printed, $notes] = $this->commandApart('reach:plan', [
                'slug' => $this->study->slug,
                '--goal' => (string) $goal,
                '--until' => '2027-06',
                '--odds' => '.5',
                '--start' => '2027-01',
                '--format' => 'json',
            ]);
            self::assertSame(0, $code);
            $rows = json_decode($printed, true, 8, JSON_THROW_ON_ERROR);
            self::assertSame(array_column($rows, 'item'), array_column($answer['items'], 'topic'));
            self::assertStringContainsString('"capacity":'.$answer['capacity'], str_replace(' ', '', $notes));
            $capacities[] = $answer['capacity'];
            self::assertSame($goal < 1_000_000, $answer['reached']);
        }
        self::assertLessThanOrEqual($capacities[1], $capacities[0]);
        self::assertEquals(60, $capacities[2], 'The most that can be reached is what 60 days reach.');
    }

    public function test_the_plan_that_reaches_it_becomes_a_draft_beside_the_agreed_one(): void
    {
        $this->postJson($this->at('plan/items'), ['topics' => ['big pen', 'desk lamp']])->assertCreated();
        $answer = $this->getJson($this->at('plan/goal?goal=30&until=2027-06&odds=.5'))->json();
        $made = $this->postJson($this->at('plan/goal'), ['goal' => 30, 'until' => '2027-06', 'odds' => .5, 'name' => 'By June'])
            ->assertCreated()->json();
        $draft = PlanDraft::query()->where('id', $made['id'])->firstOrFail();
        self::assertEquals(['2027-01', 6, $answer['capacity']], [$draft->start, $draft->months, $draft->capacity]);
        $plan = $this->getJson($this->at('plan?draft='.$made['id']))->json('items');
        $months = array_filter(array_column($plan, 'month', 'name'));
        self::assertEquals(array_column($answer['items'], 'month', 'topic'), $months);
        self::assertSame(0, PlanItem::of($this->study)->whereNotNull('month')->count(), 'The agreed plan stays as it is.');
        $this->postJson($this->at('plan/goal'), ['goal' => 30, 'until' => '2027-06', 'name' => 'By June'])->assertStatus(422);
    }

    public function test_a_goal_of_nothing_or_in_the_past_is_refused(): void
    {
        $bads = ['goal=0&until=2027-06', 'goal=10&until=2026-12', 'goal=10', 'goal=10&until=soon', 'goal=10&until=2027-06&odds=1'];
        foreach ($bads as $bad) {
            $this->getJson($this->at('plan/goal?'.$bad))->assertStatus(422);
        }
    }

    private function at(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }
}
