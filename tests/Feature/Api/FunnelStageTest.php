<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use Tests\TestCase;

/** The funnel stage is said by hand, apart from the intent, and everything that goes by stages follows. */
final class FunnelStageTest extends TestCase
{
    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $this->import($this->study, "keyword,position\nbuy ink,9\nhow to write,7\npaper,8\n", options: ['--domain' => 'quillfair.example']);
        $this->import($this->study, "keyword,position\nbuy ink,2\nhow to write,1\npaper,3\n", options: ['--domain' => 'inkmoor.example']);
        $words = "keyword,volume,difficulty\nbuy ink,900,30\nhow to write,500,30\npaper,300,30\n";
        $this->import($this->study, $words, 'keywords');
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->actingAs($this->makeEditor($this->study));
    }

    public function test_a_said_stage_stands_before_that_of_the_intent_until_it_is_taken_back(): void
    {
        self::assertSame(['buy ink'], $this->at('stage=bottom'));
        self::assertSame(['paper'], $this->at('stage=unset'));
        $change = $this->say(['keywords' => ['paper', 'how to write'], 'stage' => 'bottom']);
        self::assertSame(['buy ink', 'how to write', 'paper'], $this->at('stage=bottom'));
        self::assertSame([], $this->at('stage=top'));
        self::assertSame([], $this->at('stage=unset'));
        $row = $this->getJson($this->path('bench?show=text%3Dhow'))->json('rows.0');
        self::assertSame(['learn', 'bottom', 'bottom'], [$row['intent'], $row['own_stage'], $row['stage']]);
        self::assertSame(['bottom' => 3], $this->gathered());
        $this->say(['keywords' => ['how to write'], 'stage' => null]);
        self::assertSame(['how to write'], $this->at('stage=top'));
        $this->postJson($this->path('decisions/undo'), ['change' => $change])->assertOk();
        self::assertSame(['paper'], $this->at('stage=unset'));
        self::assertSame(['bottom' => 1, 'top' => 1, '' => 1], $this->gathered());
    }

    public function test_a_brief_tells_the_said_stage(): void
    {
        $this->say(['keywords' => ['paper'], 'stage' => 'middle']);
        $this->postJson($this->path('plan/items'), ['keywords' => ['paper'], 'alone' => true])->assertSuccessful();
        $item = $this->getJson($this->path('plan'))->json('items.0.id');
        $this->getJson($this->path("plan/items/{$item}/brief"))->assertOk()->assertJsonPath('stage', 'middle');
    }

    public function test_other_stages_are_refused(): void
    {
        $this->postJson($this->path('decisions'), ['keywords' => ['paper'], 'stage' => 'end'])->assertStatus(422);
    }

    private function path(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }

    /** @param array<string, mixed> $decision */
    private function say(array $decision): int
    {
        return (int) $this->postJson($this->path('decisions'), $decision)->assertOk()->json('change');
    }

    /** @return list<string> */
    private function at(string $show): array
    {
        $rows = $this->getJson($this->path('bench?sort=keyword&dir=asc&show='.urlencode($show)))->assertOk()->json('rows');

        return array_column($rows, 'keyword');
    }

    /** @return array<string, int> stage → keywords */
    private function gathered(): array
    {
        $groups = $this->getJson($this->path('opportunities/groups?by=stage'))->assertOk()->json();
        $counts = array_column($groups, 'keywords', 'name');
        arsort($counts);

        return $counts;
    }
}
