<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\Unit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A roadmap of pages: each one effort, one tactic and the sum of its keywords, whatever becomes of its topic. */
final class PlanPagesTest extends TestCase
{
    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-20');
        $this->study = $this->makeStudy(['inkmoor.example']);
        $ours = "keyword,position,url,volume,difficulty\nfountain pen,12,https://quillfair.example/pens,1000,20\n"
            ."best fountain pen,14,https://quillfair.example/pens,500,18\nblue ink,30,https://quillfair.example/ink,400,35\n";
        $theirs = "keyword,position,url,volume,difficulty\nfountain pen,3,https://inkmoor.example/pens,1000,20\n"
            ."best fountain pen,2,https://inkmoor.example/pens,500,18\nblue ink,4,https://inkmoor.example/ink,400,35\n";
        $this->import($this->study, $ours, options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($this->study, $theirs, options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->study->refresh()->load('domains');
        $this->actingAs($this->makeEditor($this->study));
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_keywords_of_one_topic_are_one_card_with_one_effort(): void
    {
        $this->add(['keywords' => ['fountain pen', 'best fountain pen', 'blue ink']], 2);
        $this->add(['keywords' => ['best fountain pen']], 0);
        $cards = $this->cards();
        self::assertSame(['fountain pen', 'blue ink'], array_keys($cards));
        $topic = array_column($this->getJson($this->at('opportunities/topics'))->json('rows'), null, 'topic')['fountain pen'];
        $pens = $cards['fountain pen'];
        self::assertSame(['best fountain pen', 'fountain pen'], $pens['keywords']);
        foreach (['tactic', 'effort_days', 'own_url', 'own_position', 'links_to_earn'] as $field) {
            self::assertSame($topic[$field], $pens[$field], $field);
        }
        foreach (['gain', 'expected_gain', 'win_chance'] as $field) {
            self::assertEqualsWithDelta($topic[$field], $pens[$field], 1e-9, $field);
        }
    }

    public function test_a_keyword_planned_by_itself_leaves_its_page_and_counts_once(): void
    {
        $this->add(['topics' => ['fountain pen']], 1);
        $whole = $this->cards()['fountain pen']['expected_gain'];
        $this->add(['keywords' => ['best fountain pen'], 'alone' => true], 1);
        $cards = $this->cards();
        self::assertSame(['fountain pen'], $cards['fountain pen']['keywords']);
        $alone = $cards['best fountain pen'];
        self::assertSame(['keyword', ['best fountain pen']], [$alone['unit'], $alone['keywords']]);
        self::assertEqualsWithDelta($whole, $cards['fountain pen']['expected_gain'] + $cards['best fountain pen']['expected_gain'], 1e-9);
        $this->add(['keywords' => ['best fountain pen']], 0);
        $this->deleteJson($this->at('plan/items/'.$cards['best fountain pen']['id']))->assertOk();
        self::assertEqualsWithDelta($whole, $this->cards()['fountain pen']['expected_gain'], 1e-9, 'It goes back to its page.');
    }

    public function test_what_is_over_takes_no_room_in_a_proposal_or_a_goal(): void
    {
        $this->add(['topics' => ['fountain pen']], 1);
        $item = PlanItem::of($this->study)->firstOrFail();
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        $this->patchJson($this->at('plan'), ['start' => '2026-12', 'months' => 1, 'capacity' => 3])->assertOk();
        $changes = $this->getJson($this->at('plan/proposal'))->assertOk()->json('changes');
        self::assertSame([['blue ink', '2026-12']], array_map(static fn(array $one): array => [$one['name'], $one['to']], $changes));
        $goal = $this->getJson($this->at('plan/goal?goal=1&until=2027-06&odds=.1'))->assertOk()->json('items');
        self::assertSame(['blue ink'], array_column($goal, 'topic'));
    }

    public function test_a_topic_that_is_set_aside_is_told_and_cannot_be_planned_anew(): void
    {
        $this->add(['topics' => ['fountain pen', 'blue ink']], 2);
        $this->decide(['keywords' => ['fountain pen', 'best fountain pen'], 'mark' => 'set aside', 'reason' => 'not ours']);
        $pens = $this->cards()['fountain pen'];
        self::assertSame([[], ['reason' => 'not ours'], null], [$pens['keywords'], $pens['set_aside'], $pens['expected_gain']]);
        self::assertNotContains('fountain pen', array_column($this->getJson($this->at('plan/proposal'))->json('changes'), 'name'));
        $this->getJson($this->at("plan/items/{$pens['id']}/brief"))->assertOk()->assertJsonPath('keywords', []);
        $this->deleteJson($this->at('plan/items/'.$pens['id']))->assertOk();
        $this->postJson($this->at('plan/items'), ['topics' => ['fountain pen']])
            ->assertStatus(422)
            ->assertSeeText('All keywords of \\"fountain pen\\" are set aside', false);
    }

    public function test_a_renamed_topic_keeps_its_card_and_two_that_become_one_count_no_keyword_twice(): void
    {
        $this->add(['topics' => ['fountain pen', 'blue ink']], 2);
        $before = array_sum(array_column($this->cards(), 'expected_gain'));
        $this->decide(['keywords' => ['fountain pen', 'best fountain pen', 'blue ink'], 'topic' => 'writing']);
        $cards = $this->cards();
        self::assertSame(['writing', 'writing'], array_column($cards, 'topic'));
        self::assertSame(
            ['best fountain pen', 'blue ink', 'fountain pen'],
            self::sorted(array_merge(...array_column($cards, 'keywords'))),
        );
        self::assertEqualsWithDelta($before, array_sum(array_column($cards, 'expected_gain')), 1e-9);
        $this->add(['topics' => ['writing']], 0);
    }

    public function test_what_was_said_is_kept_and_held_against_all_keywords(): void
    {
        $this->add(['topics' => ['fountain pen']], 1);
        $item = PlanItem::of($this->study)->firstOrFail();
        self::assertSame(['fountain pen', 12, '2026-11'], [$item->said?->lead, $item->said?->position, (string) $item->said?->month]);
        $said = $item->said;
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        $this->newMonth('2027-03-01', 12, 14);
        $nothing = $this->getJson($this->at('track'))->assertOk()->json();
        self::assertEqualsWithDelta(0.0, $nothing['items'][0]['added'], 1e-9);
        self::assertSame(
            [false, false, '2026-11'],
            [$nothing['items'][0]['is_reached'], $nothing['items'][0]['is_moved'], $nothing['items'][0]['planned_month']],
        );
        self::assertStringContainsString('No clear change', implode(' ', $nothing['items'][0]['why']['steps']));

        $this->newMonth('2027-04-01', 3, 2);
        $track = $this->getJson($this->at('track'))->assertOk()->json();
        $rows = array_column($track['items'][0]['keywords'], null, 'keyword');
        self::assertSame([14, 2], [$rows['best fountain pen']['position_then'], $rows['best fountain pen']['position_now']]);
        $curve = $this->study->refresh()->comparison?->models()->curve ?? self::fail('Nothing was learnt.');
        self::assertEqualsWithDelta(
            1000 * ($curve->at(3) - $curve->at(12)) + 500 * ($curve->at(2) - $curve->at(14)),
            $track['items'][0]['added'],
            1e-9,
        );
        self::assertSame([true, true], [$track['items'][0]['is_reached'], $track['items'][0]['is_moved']]);
        self::assertEquals($said, $item->refresh()->said, 'What was said is never worked out anew.');
        self::assertSame(['2027-03-01', '2027-04-01'], array_column($track['months'], 'day'));
        self::assertEqualsWithDelta($track['items'][0]['added'], $track['months'][1]['achieved'], 1e-9);
        self::assertGreaterThan(0, $track['months'][1]['mean']);
    }

    public function test_a_page_that_is_gone_at_the_next_import_has_lost_what_it_had_and_its_cards_stay(): void
    {
        $this->add(['topics' => ['fountain pen', 'blue ink']], 2);
        $item = PlanItem::of($this->study)->where('name', 'fountain pen')->firstOrFail();
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        $this->import(
            $this->study,
            "keyword,position,url\nwax seal,30,https://quillfair.example/wax\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2027-03-01'],
        );
        $this->import(
            $this->study,
            "keyword,position,url\nwax seal,3,https://inkmoor.example/wax\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2027-03-01'],
        );
        $this->command('reach:compare', ['slug' => $this->study->slug]);
        $tracked = $this->getJson($this->at('track'))->assertOk()->json('items.0');
        self::assertSame([null, false, 'below'], [$tracked['position_now'], $tracked['is_moved'], $tracked['outcome']]);
        self::assertEqualsWithDelta(-($item->said?->visitsThen() ?? 0.0), $tracked['added'], 1e-9);
        $ink = $this->cards()['blue ink'];
        $this->getJson($this->at("plan/items/{$ink['id']}/brief"))->assertOk();
        $this->getJson($this->at('plan/proposal'))->assertOk();
        $this->get($this->at('exports/roadmap.csv'))->assertOk();
    }

    public function test_the_month_it_was_done_can_be_corrected_but_lies_in_no_month_to_come(): void
    {
        $this->add(['topics' => ['fountain pen']], 1);
        $item = PlanItem::of($this->study)->firstOrFail();
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 1, 'done_month' => '2026-10'])->assertStatus(422);
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        self::assertSame('2026-11', $item->refresh()->done_month);
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 2, 'done_month' => '2026-12'])->assertStatus(422);
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 2, 'done_month' => '2026-09'])->assertOk();
        self::assertSame(['2026-09'], array_column($this->getJson($this->at('track'))->json('items'), 'done_month'));
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 3, 'status' => 'published'])->assertOk();
        self::assertNull($item->refresh()->done_month);
    }

    public function test_clicks_on_our_brand_stand_apart(): void
    {
        $this->add(['topics' => ['fountain pen']], 1);
        $item = PlanItem::of($this->study)->firstOrFail();
        $this->patchJson($this->at("plan/items/{$item->id}"), ['version' => 1, 'status' => 'done'])->assertOk();
        foreach (['2026-10-28' => 5, '2026-11-28' => 9] as $day => $clicks) {
            $this->import(
                $this->study,
                "query,page,clicks,impressions,position\nfountain pen,https://quillfair.example/pens,{$clicks},100,8\n"
                    ."quillfair pens,https://quillfair.example/pens,70,80,1\nink,https://quillfair.example/ink,3,9,9\n",
                'performance',
                ['--date' => $day],
            );
        }
        $this->command('reach:compare', ['slug' => $this->study->slug]);
        $track = $this->getJson($this->at('track'))->json('items.0');
        self::assertSame(
            [5, 9, 70, 70],
            [$track['clicks_before'], $track['clicks_since'], $track['brand_clicks_before'], $track['brand_clicks_since']],
        );
        self::assertSame([100, 100], array_column($track['clicks'], 'impressions'), 'Those of our brand stand apart, too.');
    }

    public function test_pages_to_beat_are_chosen_and_never_ours(): void
    {
        $this->add(['topics' => ['fountain pen']], 1);
        $item = PlanItem::of($this->study)->firstOrFail();
        $choose = fn(string $pages) => $this->patchJson($this->at("plan/items/{$item->id}"), [
            'version' => $item->refresh()->version,
            'brief' => ['pages_to_beat' => $pages],
        ]);
        $choose("https://inkmoor.example/pens\nhttps://www.quillfair.example/pens")->assertStatus(422)->assertSeeText('Line 2');
        $choose('javascript:alert(1)')->assertStatus(422);
        $choose(implode("\n", array_fill(0, 6, 'https://inkmoor.example/pens')))->assertStatus(422);
        $choose("https://inkmoor.example/pens\n\n")->assertOk();
        $this->getJson($this->at("plan/items/{$item->id}/brief"))->assertOk()
            ->assertJsonPath('rivals.0.url', 'https://inkmoor.example/pens')
            ->assertJsonPath('rivals.0.is_chosen', true);
    }

    public function test_keyword_items_of_one_topic_fold_into_a_page_and_nothing_is_lost(): void
    {
        DB::beginTransaction();
        try {
            $ids = $this->keywordItemsOfBefore();
            (require database_path('migrations/2026_11_25_000025_plan_pages.php'))->up();
            $items = PlanItem::of($this->study)->orderBy('id')->get();
            self::assertCount(2, $items);
            $page = $items->firstWhere('id', $ids['fountain pen']) ?? self::fail('The page is gone.');
            self::assertSame(
                [Unit::Topic, 'fountain pen', '2026-12', 'writing', 'Ada, Rowan', true],
                [$page->unit, $page->name, $page->month, $page->status, $page->owner, $page->is_pinned],
            );
            self::assertSame("best fountain pen: second\nfountain pen: first", $page->brief['notes'] ?? '');
            self::assertSame(['best fountain pen', 'fountain pen'], array_column($page->folded, 'name'));
            $done = $items->firstWhere('id', $ids['blue ink']) ?? self::fail('What was done is gone.');
            self::assertSame([Unit::Keyword, 'done', '2026-10'], [$done->unit, $done->status, $done->done_month]);
            self::assertSame([30, 100.0, 8.0], [$done->said?->position, $done->said?->gain, $done->said?->visitsThen()]);
            $draft = json_decode((string) DB::table('plan_drafts')->where('study_id', $this->study->id)->value('placements'), true);
            self::assertSame([$ids['fountain pen'] => '2027-01'], $draft);
            $this->getJson($this->at('plan'))->assertOk();
            $this->getJson($this->at('track'))->assertOk()->assertJsonPath('items.0.promised_gain', 100);
        } finally {
            DB::rollBack();
        }
    }

    /** @return array<string, int> keyword → number, of items as they were when each was a keyword */
    private function keywordItemsOfBefore(): array
    {
        // Items that there were none of then.
        DB::table('plan_items')->where('unit', 'links')->delete();
        DB::statement(
            'ALTER TABLE plan_items DROP CONSTRAINT plan_items_study_id_domain_id_unit_name_key, DROP unit, DROP lead, DROP folded, '
                .'ADD promise jsonb',
        );
        DB::statement('ALTER TABLE plan_items RENAME name TO keyword');
        DB::statement('ALTER TABLE plan_items ADD UNIQUE (study_id, domain_id, keyword)');
        $of = [
            'study_id' => $this->study->id,
            'domain_id' => $this->study->ownDomain()->id,
            'tactic' => 'improve page',
            'effort_days' => 1,
        ];
        $promise = '{"gain": 100, "win_chance": 0.3, "visits_then": 8, "position_then": 30, "target": 3}';
        $ids = [
            'best fountain pen' => DB::table('plan_items')->insertGetId([...$of, 'keyword' => 'best fountain pen', 'month' => '2026-12',
                'status' => 'planned', 'owner' => 'Ada', 'brief' => '{"notes": "second"}']),
            'fountain pen' => DB::table('plan_items')->insertGetId([...$of, 'keyword' => 'fountain pen', 'month' => '2027-02',
                'status' => 'writing', 'owner' => 'Rowan', 'brief' => '{"notes": "first"}', 'is_pinned' => true]),
            'blue ink' => DB::table('plan_items')->insertGetId([...$of, 'keyword' => 'blue ink', 'status' => 'done',
                'done_month' => '2026-10', 'promise' => $promise]),
        ];
        DB::table('plan_drafts')->insert(['study_id' => $this->study->id, 'name' => 'other', 'start' => '2026-12', 'months' => 6,
            'capacity' => 5, 'placements' => json_encode([$ids['best fountain pen'] => '2027-03', $ids['fountain pen'] => '2027-01'])]);

        return $ids;
    }

    private function newMonth(string $day, int $pen, int $best): void
    {
        $this->import(
            $this->study,
            "keyword,position,url\nfountain pen,{$pen},https://quillfair.example/pens\nbest fountain pen,{$best},"
                ."https://quillfair.example/pens\nblue ink,30,https://quillfair.example/ink\n",
            options: ['--domain' => 'quillfair.example', '--date' => $day],
        );
        $this->command('reach:compare', ['slug' => $this->study->slug]);
    }

    /** @param array<string, mixed> $what */
    private function add(array $what, int $added): void
    {
        $this->postJson($this->at('plan/items'), $what)->assertCreated()->assertJsonPath('added', $added);
    }

    /** @param array<string, mixed> $what */
    private function decide(array $what): void
    {
        $this->postJson($this->at('decisions'), $what)->assertOk();
    }

    /** @return array<string, array<string, mixed>> name → card */
    private function cards(): array
    {
        return array_column($this->getJson($this->at('plan'))->assertOk()->json('items'), null, 'name');
    }

    /**
     * @param array<mixed> $texts
     *
     * @return list<string>
     */
    private static function sorted(array $texts): array
    {
        $sorted = array_map(static fn(mixed $text): string => \is_string($text) ? $text : '', array_values($texts));
        sort($sorted);

        return $sorted;
    }

    private function at(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }
}
