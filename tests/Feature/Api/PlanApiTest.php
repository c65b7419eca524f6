<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\PlanItem;
use App\Models\Study;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class PlanApiTest extends TestCase
{
    public function test_the_shortlist_becomes_a_roadmap_with_loads_and_a_forecast(): void
    {
        $study = $this->weighed();
        $this->postJson($this->at($study, 'plan/items'))->assertStatus(201)->assertJsonPath('added', 0);
        $this->postJson($this->at($study, 'decisions'), ['show' => 'volume>=100', 'mark' => 'shortlisted'])->assertOk();
        $this->postJson($this->at($study, 'plan/items'))->assertStatus(201)->assertJsonPath('added', 3);
        $this->patchJson($this->at($study, 'plan'), ['start' => '2026-12', 'months' => 3, 'capacity' => 4])->assertOk();
        $item = PlanItem::query()->where('study_id', $study->id)->where('name', 'big pen')->firstOrFail();
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), [
            'version' => 1,
            'month' => '2026-12',
            'owner' => 'Rowan',
            'effort_days' => 3.5,
        ])
            ->assertOk()
            ->assertJsonPath('version', 2);
        $plan = $this->getJson($this->at($study, 'plan'))->assertOk()->json();
        self::assertSame(['2026-12', 3, 4], [$plan['start'], $plan['months'], $plan['capacity']]);
        self::assertSame(['2026-12' => 3.5], $plan['loads']);
        self::assertCount(9, $plan['forecast']);
        self::assertEquals(0, $plan['forecast'][0]['mean']);
        self::assertGreaterThan($plan['forecast'][1]['mean'], $plan['forecast'][3]['mean'], 'It pays more as it ripens.');
    }

    public function test_two_people_who_move_the_same_card_notice_each_other(): void
    {
        $study = $this->weighed();
        $item = $this->planned($study, 'big pen');
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => 1, 'month' => '2026-12'])->assertOk();
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => 1, 'month' => '2027-01'])->assertStatus(409);
        self::assertSame('2026-12', $item->refresh()->month);
    }

    public function test_what_is_done_holds_its_promise_and_is_not_moved(): void
    {
        $study = $this->weighed();
        $item = $this->planned($study, 'big pen');
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        $said = $item->refresh()->said;
        self::assertEqualsWithDelta(2000 * (0.114 - 0.008), $said->gain ?? 0, 1e-9);
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => 2, 'month' => '2027-01'])->assertStatus(422);
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), [
            'version' => 2,
            'status' => 'published',
            'month' => '2027-01',
        ])->assertOk();
        self::assertEquals($said, $item->refresh()->said, 'What was said stays.');
    }

    public function test_a_proposal_shows_its_changes_is_applied_and_undone(): void
    {
        $study = $this->weighed();
        $this->patchJson($this->at($study, 'plan'), ['start' => '2026-12', 'months' => 2, 'capacity' => 4])->assertOk();
        $proposal = $this->getJson($this->at($study, 'plan/proposal'))->assertOk()->json();
        self::assertNotSame([], $proposal['changes']);
        $change = $this->postJson($this->at($study, 'plan/apply'), ['changes' => $proposal['changes']])->assertOk()->json('change');
        self::assertSame(\count($proposal['changes']), PlanItem::query()->where('study_id', $study->id)->whereNotNull('month')->count());
        self::assertSame([], $this->getJson($this->at($study, 'plan/proposal'))->json('changes'), 'What was proposed stands now.');
        $this->postJson($this->at($study, 'plan/undo'), ['change' => $change])->assertOk();
        self::assertSame(0, PlanItem::query()->where('study_id', $study->id)->count());
        $this->postJson($this->at($study, 'plan/undo'), ['change' => $change])->assertStatus(422);
    }

    public function test_a_card_that_a_proposal_moved_has_a_new_version(): void
    {
        $study = $this->weighed();
        $item = $this->planned($study, 'big pen');
        $seen = $item->version;
        $changes = [['item' => $item->id, 'to' => '2026-12']];
        $this->postJson($this->at($study, 'plan/apply'), ['changes' => $changes])->assertOk();
        $move = fn(int $version) => $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => $version, 'month' => null]);
        $move($seen)->assertStatus(409);
        self::assertSame('2026-12', $item->refresh()->month);
        $move($item->version)->assertOk();
    }

    public function test_undoing_a_proposal_leaves_what_was_done_meanwhile(): void
    {
        $study = $this->weighed();
        $change = $this->postJson($this->at($study, 'plan/apply'), [
            'changes' => [['topic' => 'big pen', 'to' => '2026-12'], ['topic' => 'dear nib', 'to' => '2026-12']],
        ])
            ->assertOk()
            ->json('change');
        $item = PlanItem::of($study)->where('name', 'big pen')->firstOrFail();
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => $item->version, 'status' => 'done'])->assertOk();
        $this->postJson($this->at($study, 'plan/undo'), ['change' => $change])->assertOk();
        self::assertSame(['big pen' => '2026-12'], PlanItem::of($study)->pluck('month', 'name')->all());
        self::assertSame('done', $item->refresh()->status);
    }

    public function test_an_unknown_chance_brings_nothing_to_the_forecast_and_is_told_as_unknown(): void
    {
        $study = $this->weighed("big pen,2000,20\ndear nib,150,\nhow to ink,200,5\n");
        foreach (['big pen', 'dear nib'] as $keyword) {
            $item = $this->planned($study, $keyword);
            $this->patchJson($this->at($study, "plan/items/{$item->id}"), [
                'version' => 1,
                'month' => now('UTC')->format('Y-m'),
            ])->assertOk();
        }
        $items = array_column($this->getJson($this->at($study, 'plan'))->assertOk()->json('items'), null, 'name');
        self::assertSame([null, null], [$items['dear nib']['win_chance'], $items['dear nib']['expected_gain']]);
        $mean = fn(string $query): array => array_column(
            $this->getJson($this->at($study, 'plan').$query)
                ->assertOk()
                ->json('forecast'),
            'mean',
        );
        self::assertEquals($mean('?without='.$items['dear nib']['id']), $mean(''));
        self::assertGreaterThan(0, array_sum($mean('')));
        $proposed = array_column($this->getJson($this->at($study, 'plan/proposal'))->json('changes'), 'to', 'name');
        self::assertNull($proposed['dear nib'] ?? null, 'What may bring nothing is not proposed.');
    }

    /** @return iterable<string, array{int, int}> our position → shares that reached their target, which is 3 */
    public static function ends(): iterable
    {
        yield 'at the target' => [3, 1];
        yield 'one short of it' => [4, 0];
    }

    #[DataProvider('ends')]
    public function test_what_stands_at_its_target_has_reached_it(int $position, int $happened): void
    {
        Carbon::setTestNow('2026-11-20');
        $study = $this->weighed();
        $item = $this->planned($study, 'big pen');
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        $this->import(
            $study,
            "keyword,position\nbig pen,{$position}\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2027-03-01'],
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        self::assertSame(
            [1, $happened],
            [
                $this->getJson($this->at($study, 'track'))->json('calibration.0.items'),
                $this->getJson($this->at($study, 'track'))->json('calibration.0.reached'),
            ],
        );
        Carbon::setTestNow();
    }

    public function test_links_are_an_item_of_their_own_with_days_and_no_forecast(): void
    {
        $study = $this->weighed();
        $page = $this->planned($study, 'big pen');
        $this->patchJson($this->at($study, "plan/items/{$page->id}"), ['version' => 1, 'month' => '2026-12'])->assertOk();
        $forecast = $this->getJson($this->at($study, 'plan'))->json('forecast');
        $links = ['links' => ['topic' => 'big pen', 'count' => 6]];
        $this->postJson($this->at($study, 'plan/items'), $links)->assertJsonPath('added', 1);
        $this->postJson($this->at($study, 'plan/items'), $links)->assertJsonPath('added', 0);
        $item = PlanItem::of($study)->where('unit', 'links')->firstOrFail();
        self::assertEquals([6, 6, 'earn links'], [$item->links_to_earn, $item->effort_days, $item->tactic]);
        $at = $this->at($study, "plan/items/{$item->id}");
        $this->patchJson($at, ['version' => 1, 'month' => '2026-12'])->assertOk();

        $plan = $this->getJson($this->at($study, 'plan'))->assertOk()->json();
        self::assertEquals($forecast, $plan['forecast'], 'The chance of the page does not count on them.');
        self::assertEquals(6 + $page->effort_days, $plan['loads']['2026-12']);
        $told = array_column($plan['items'], null, 'unit')['links'];
        self::assertSame([[], null, null], [$told['keywords'], $told['expected_gain'], $told['set_aside']]);
        self::assertSame('6 links · 1 days = 6 days.', $told['why']['effort']['steps'][0]);
        self::assertNotContains($item->id, array_column($this->getJson($this->at($study, 'plan/proposal'))->json('changes'), 'item'));
        $this->getJson($at.'/brief')->assertOk();
        foreach (['csv', 'json', 'xlsx', 'ics'] as $format) {
            $this->get($this->at($study, "exports/roadmap.{$format}"))->assertOk();
        }

        $this->patchJson($at, ['version' => 2, 'status' => 'done'])->assertOk();
        self::assertSame([], $this->getJson($this->at($study, 'track'))->assertOk()->json('items'), 'There is no forecast to hold it to.');
        $this->postJson($this->at($study, 'plan/items'), ['links' => ['topic' => 'no such page', 'count' => 6]])->assertStatus(422);
        $this->postJson($this->at($study, 'plan/items'), ['links' => ['topic' => 'big pen', 'count' => 0]])->assertStatus(422);
    }

    public function test_a_finished_page_is_not_planned_again(): void
    {
        $study = $this->weighed();
        $planned = fn(string $by): array => array_column(
            self::readCsv($this->command('reach:plan', ['slug' => $study->slug, '--by' => $by])[1]),
            'item',
        );
        $item = $this->planned($study, 'big pen');
        self::assertContains('big pen', $planned('topic'), 'A planned page is still to be placed.');
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        foreach (['topic', 'keyword'] as $by) {
            self::assertNotContains('big pen', $planned($by));
            self::assertContains('dear nib', $planned($by));
        }
    }

    public function test_a_proposal_is_what_the_command_says(): void
    {
        $study = $this->weighed();
        $this->patchJson($this->at($study, 'plan'), ['start' => '2026-12', 'months' => 2, 'capacity' => 4])->assertOk();
        $proposed = array_map(
            static fn(array $change): array => [$change['to'], $change['name']],
            $this->getJson($this->at($study, 'plan/proposal'))->json('changes'),
        );
        [, $printed] = $this->command('reach:plan', [
            'slug' => $study->slug,
            '--months' => '2',
            '--capacity' => '4',
            '--start' => '2026-12',
        ]);
        self::assertSame(array_map(static fn(array $row): array => [$row['month'], $row['item']], self::readCsv($printed)), $proposed);
    }

    public function test_the_roadmap_is_taken_along_as_a_table_and_as_a_calendar(): void
    {
        $study = $this->weighed();
        $this->patchJson($this->at($study, 'plan'), ['start' => '2026-12', 'months' => 2, 'capacity' => 40])->assertOk();
        $this->postJson($this->at($study, 'plan/apply'), [
            'changes' => $this->getJson($this->at($study, 'plan/proposal'))->json('changes'),
        ])->assertOk();
        $rows = self::readCsv($this->get($this->at($study, 'exports/roadmap.csv'))->assertOk()->streamedContent());
        self::assertSame(['2026-12', 'big pen', 'planned'], [$rows[0]['month'], $rows[0]['item'], $rows[0]['status']]);
        $calendar = \Sabre\VObject\Reader::read((string) $this->get($this->at($study, 'exports/roadmap.ics'))->assertOk()->getContent());
        self::assertCount(\count($rows), $calendar->select('VEVENT'));
        self::assertSame([], $calendar->validate());
    }

    public function test_a_forecast_without_an_item_lacks_just_what_it_brings(): void
    {
        $study = $this->weighed();
        $item = $this->planned($study, 'big pen');
        foreach ([$item, $this->planned($study, 'dear nib')] as $one) {
            $this->patchJson($this->at($study, "plan/items/{$one->id}"), [
                'version' => $one->version,
                'month' => now('UTC')->format('Y-m'),
            ])->assertOk();
        }
        $mean = fn(string $query): array => array_column(
            $this->getJson($this->at($study, 'plan').$query)
                ->assertOk()
                ->json('forecast'),
            'mean',
        );
        $all = $mean('');
        $rest = $mean('?without='.$item->id);
        $this->deleteJson($this->at($study, "plan/items/{$item->id}"))->assertOk();
        self::assertEquals($mean(''), $rest);
        self::assertGreaterThan(array_sum($rest), array_sum($all));
    }

    public function test_bad_plans_are_refused(): void
    {
        $study = $this->weighed();
        $this->patchJson($this->at($study, 'plan'), ['months' => 0])->assertStatus(422);
        $this->patchJson($this->at($study, 'plan'), ['capacity' => -1])->assertStatus(422);
        $this->patchJson($this->at($study, 'plan'), ['start' => '2026-13'])->assertStatus(422);
        $this->postJson($this->at($study, 'plan/items'), ['keywords' => ['never heard of']])->assertStatus(422);
        $this->patchJson($this->at($study, 'plan'), ['capacity' => 0])->assertOk();
        self::assertSame([], $this->getJson($this->at($study, 'plan/proposal'))->json('changes'));
    }

    public function test_a_brief_says_what_to_write_and_is_markdown(): void
    {
        $study = $this->weighed();
        $item = $this->planned($study, 'big pen');
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), [
            'version' => 1,
            'brief' => ['angle' => 'Pens that *last*', 'call_to_action' => 'Try one', 'other' => 'x'],
        ])->assertOk();
        $brief = $this->getJson($this->at($study, "plan/items/{$item->id}/brief"))->assertOk()->json();
        self::assertSame(
            ['big pen', ['angle' => 'Pens that *last*', 'call_to_action' => 'Try one']],
            [$brief['item']['name'], $brief['written']],
        );
        $markdown = (string) $this->get($this->at($study, "plan/items/{$item->id}/brief.md"))->assertOk()->getContent();
        self::assertStringContainsString("# big pen\n", $markdown);
        self::assertStringContainsString('Pens that \*last\*', $markdown);
        self::assertStringContainsString('| big pen | 2000 | 12 |', $markdown);
        $html = (string) $this->get($this->at($study, "plan/items/{$item->id}/brief.html"))
            ->assertOk()
            ->assertHeader('Content-Type', 'text/html; charset=UTF-8')
            ->getContent();
        self::assertStringContainsString('Pens that *last*', $html);
        self::assertStringNotContainsString('<script', $html);
    }

    public function test_what_came_of_it_is_told_when_its_ramp_has_passed(): void
    {
        Carbon::setTestNow('2026-11-20');
        $study = $this->weighed();
        $item = $this->planned($study, 'big pen');
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        self::assertSame('too early', $this->getJson($this->at($study, 'track'))->assertOk()->json('items.0.outcome'));
        $this->import(
            $study,
            "keyword,position,url\nbig pen,1,https://quillfair.example/pen\nhow to ink,3,https://quillfair.example/ink\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2027-03-01'],
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $track = $this->getJson($this->at($study, 'track'))->json();
        self::assertSame(
            ['above', 12, 1],
            [$track['items'][0]['outcome'], $track['items'][0]['position_then'], $track['items'][0]['position_now']],
        );
        self::assertEqualsWithDelta(2000 * (0.325 - 0.008), $track['items'][0]['added'], 1e-9);
        self::assertSame(
            ['2026-11-01', '2027-03-01', 1],
            [$track['since']['from'], $track['since']['to'], $track['since']['moved']['climbed']],
        );
        self::assertSame(
            [1, 1, 'dear nib'],
            [$track['since']['opened']['keywords'], $track['since']['undecided'], $track['since']['opened']['first'][0]['keyword']],
            'The competitor has no earlier list, so its keyword is new to us.',
        );
        $review = (string) $this->get($this->at($study, 'exports/review.html'))->assertOk()->getContent();
        foreach (['the month in review', 'Since 1 Nov 2026', 'We climbed on 1 keyword', 'big pen', '12 → 1', 'above'] as $expected) {
            self::assertStringContainsString($expected, $review);
        }
        self::assertSame(2, substr_count($review, 'class="sheet"'));
        self::assertSame(1, $track['calibration'][0]['items']);
        self::assertCount(2, $track['shares']);
        Carbon::setTestNow();
    }

    private function planned(Study $study, string $keyword): PlanItem
    {
        $this->postJson($this->at($study, 'plan/items'), ['keywords' => [$keyword]])->assertStatus(201);

        return PlanItem::query()->where('study_id', $study->id)->where('name', $keyword)->firstOrFail();
    }

    private function weighed(string $metrics = "big pen,2000,20\ndear nib,150,10\nhow to ink,200,5\n"): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,url\nbig pen,12,https://quillfair.example/pen\nhow to ink,3,https://quillfair.example/ink\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $study,
            "keyword,position\nbig pen,3\ndear nib,4\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->import($study, "keyword,volume,difficulty\n".$metrics, 'keywords');
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));
        self::assertSame(0, DB::table('plan_items')->where('study_id', $study->id)->count());

        return $study;
    }

    private function at(Study $study, string $path): string
    {
        return "/api/v1/studies/{$study->slug}/{$path}";
    }
}
