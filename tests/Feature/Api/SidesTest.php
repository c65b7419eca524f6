<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\PlanItem;
use App\Models\Study;
use Tests\TestCase;

/** Looking from another side, studies without lists, and figures that are told in two places. */
final class SidesTest extends TestCase
{
    public function test_another_side_has_another_roadmap_and_finds_ours_again(): void
    {
        $study = $this->weighed();
        $this->plan($study, 'big pen');
        $done = $this->plan($study, 'how to ink');
        $this->patchJson($this->at($study, "plan/items/{$done->id}"), ['version' => 1, 'status' => 'done'])->assertOk();

        $this->look($study, 'inkmoor.example', ['quillfair.example']);
        $plan = $this->getJson($this->at($study, 'plan'))->assertOk()->assertJsonPath('items', [])->json();
        self::assertSame(['quillfair.example' => 2], $plan['elsewhere']);
        $this->getJson($this->at($study, 'track'))
            ->assertOk()
            ->assertJsonPath('items', [])
            ->assertJsonPath('elsewhere', ['quillfair.example' => 2]);
        $this->getJson($this->at($study, ''))
            ->assertOk()
            ->assertJsonPath('stages.plan', ['items' => 0, 'overdue' => 0, 'done' => 0]);
        $this->plan($study, 'big pen');

        $this->look($study, 'quillfair.example', ['inkmoor.example']);
        $plan = $this->getJson($this->at($study, 'plan'))->assertOk()->assertJsonCount(2, 'items')->json();
        self::assertSame(['inkmoor.example' => 1], $plan['elsewhere']);
        self::assertSame(12, array_column($plan['items'], 'own_position', 'name')['big pen']);
    }

    public function test_a_domain_with_a_roadmap_is_not_thrown_away(): void
    {
        $study = $this->weighed();
        $this->plan($study, 'big pen');
        $this->look($study, 'inkmoor.example', []);
        foreach ($this->getJson($this->at($study, 'imports'))->json() as $import) {
            $this->deleteJson($this->at($study, "imports/{$import['id']}"))->assertOk();
        }
        $id = $study->domains()->where('entry', 'quillfair.example')->value('id');
        $this->deleteJson($this->at($study, "domains/{$id}"))
            ->assertStatus(422)
            ->assertJsonPath(
                'detail',
                'This domain has a roadmap of its own. Compare from its side and remove the items first.',
            );
    }

    public function test_a_keyword_set_aside_says_so_on_the_roadmap_and_is_not_planned_anew(): void
    {
        $study = $this->weighed();
        $this->plan($study, 'big pen');
        $this->postJson($this->at($study, 'decisions'), [
            'keywords' => ['big pen'],
            'mark' => 'set aside',
            'reason' => 'another meaning',
        ])->assertOk();
        $this->getJson($this->at($study, 'plan'))
            ->assertOk()
            ->assertJsonPath('items.0.set_aside', ['reason' => 'another meaning']);
        $this->getJson($this->at($study, 'plan/proposal'))
            ->assertOk()
            ->assertJsonMissing(['keyword' => 'big pen']);
    }

    public function test_the_path_counts_what_the_stages_show(): void
    {
        $study = $this->weighed();
        $this->import(
            $study,
            "keyword,position\ninkmoor pen,1\nglass pen,2\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-02'],
        );
        $this->compare($study);
        $this->postJson($this->at($study, 'decisions'), ['keywords' => ['glass pen'], 'mark' => 'set aside'])->assertOk();
        $shown = $this->getJson($this->at($study, 'bench/summary?show=brands=hide;mark=kept'))->json('standings.gap') ?? 0;
        self::assertSame(0, $shown, 'One is a brand, the other was set aside.');
        $this->getJson($this->at($study, ''))->assertOk()->assertJsonPath('stages.compare.gaps', $shown);
        $open = 'opportunities?show=mark=kept;roadmap=hide;horizon=quick win';
        $wins = fn(): int => $this->getJson($this->at($study, $open))->json('total');
        $isCounted = fn() => $this->getJson($this->at($study, ''))->assertOk()->assertJsonPath('stages.weigh.quick_wins', $wins());
        $isCounted();
        $win = $this->getJson($this->at($study, 'opportunities?show=horizon=quick win'))->json('rows.0.keyword');
        self::assertIsString($win);
        $before = $wins();
        $this->postJson($this->at($study, 'plan/items'), ['keywords' => [$win]])->assertSuccessful();
        self::assertLessThan($before, $wins(), 'What is on the roadmap is no open question.');
        $isCounted();
        $item = $this->getJson($this->at($study, 'plan'))->json('items.0.id');
        $this->deleteJson($this->at($study, "plan/items/{$item}"))->assertOk();
        self::assertSame($before, $wins());
        $isCounted();
    }

    public function test_a_study_without_lists_shows_no_comparison_and_waits_for_none(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->getJson($this->at($study, 'comparison'))->assertOk();
        $this->getJson($this->at($study, 'comparison'))->assertOk()->assertJsonPath('comparison', null)->assertJsonPath('is_current', true);
        $this->getJson($this->at($study, ''))->assertOk()->assertJsonPath('comparison', null)->assertJsonPath('stages.compare', null);
    }

    public function test_a_study_whose_only_list_is_taken_back_is_empty_again(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\npen,2\n", options: ['--domain' => 'quillfair.example']);
        $this->compare($study);
        self::assertNotNull($study->refresh()->comparison_id);
        $this->actingAs($this->makeEditor($study));
        $this->deleteJson($this->at($study, 'imports/'.$study->imports()->value('id')))->assertOk();
        $this->compare($study->refresh());
        self::assertNull($study->refresh()->comparison_id);
    }

    public function test_noise_is_not_proposed_where_it_is_hidden_already(): void
    {
        $study = $this->weighed();
        $this->import($study, "keyword,position\ninkmoor pen,1\n", options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-02']);
        $this->compare($study);
        $this->getJson($this->at($study, 'bench/noise?show=mark=kept'))->assertJsonPath('clauses.0.clause', 'brands=hide');
        $this->getJson($this->at($study, 'bench/noise?show=brands=hide;mark=kept'))->assertJsonPath('clauses', []);
    }

    /** @param list<string> $competitors */
    private function look(Study $study, string $domain, array $competitors): void
    {
        $this->patchJson($this->at($study, ''), ['domain' => $domain, 'competitors' => $competitors])->assertOk();
        $this->compare($study->refresh());
    }

    private function compare(Study $study): void
    {
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()->load('domains')));
    }

    private function plan(Study $study, string $keyword): PlanItem
    {
        $this->postJson($this->at($study, 'plan/items'), ['keywords' => [$keyword]])->assertStatus(201)->assertJsonPath('added', 1);

        return PlanItem::query()->where('study_id', $study->id)->where('name', $keyword)->latest('id')->firstOrFail();
    }

    private function weighed(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,url\nbig pen,12,https://quillfair.example/pen\nhow to ink,3,https://quillfair.example/ink\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $study,
            "keyword,position\nbig pen,3\nhow to ink,9\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->import($study, "keyword,volume,difficulty\nbig pen,2000,20\nhow to ink,200,5\n", 'keywords');
        $this->compare($study);
        $this->actingAs($this->makeEditor($study));

        return $study;
    }

    private function at(Study $study, string $path): string
    {
        return rtrim("/api/v1/studies/{$study->slug}/{$path}", '/');
    }
}
