<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\WeighTopics;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Sentence\Sentence;
use Tests\TestCase;

/** The ranked list by topic: what a page, made or to be made, brings with all its open keywords. */
final class WeighTopicsTest extends TestCase
{
    private Study $study;
    private string $path;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $ours = "keyword,position,url,volume,difficulty\nfountain pen,12,https://quillfair.example/pens,1000,20\n"
            ."best fountain pen,14,https://quillfair.example/pens,500,18\nblue ink,30,https://quillfair.example/ink,400,35\n"
            ."pen case,1,https://quillfair.example/pens,90,10\n";
        $theirs = "keyword,position,url,volume,difficulty\nfountain pen,3,https://inkmoor.example/pens,1000,20\n"
            ."best fountain pen,2,https://inkmoor.example/pens,500,18\nblue ink,4,https://inkmoor.example/ink,400,35\n"
            ."pen case,5,https://inkmoor.example/pens,90,10\nwax,9,https://inkmoor.example/wax,,\n";
        $this->import($this->study, $ours, options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($this->study, $theirs, options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->actingAs($this->makeEditor($this->study));
        $this->path = "/api/v1/studies/{$this->study->slug}/opportunities/topics";
    }

    public function test_a_topic_sums_its_open_keywords_and_is_led_by_its_primary(): void
    {
        $page = $this->getJson($this->path)->assertOk()->json();
        self::assertSame(['fountain pen', 'blue ink', 'wax'], array_column($page['rows'], 'topic'));
        [$pens, , $wax] = $page['rows'];
        // Where we are first nothing is open.
        self::assertSame(
            [2, 1500, 'https://quillfair.example/pens', 12, 0, 'fountain pen'],
            [$pens['keywords'], $pens['volume'], $pens['own_url'], $pens['own_position'], $pens['shortlisted'], $pens['lead']],
        );
        $single = $this->keywords('topic=fountain pen');
        self::assertEqualsWithDelta(array_sum(array_column($single, 'expected_gain')), $pens['expected_gain'], 1e-9);
        self::assertEqualsWithDelta($pens['expected_gain'] / $pens['effort_days'], $pens['worth'], 1e-9);
        self::assertSame([null, null, null, null], [$wax['volume'], $wax['gain'], $wax['expected_gain'], $wax['own_url']]);
    }

    public function test_setting_a_keyword_aside_corrects_its_topic_at_once_and_undoing_puts_it_back(): void
    {
        $before = $this->getJson($this->path)->json('rows');
        $change = $this->decide(['fountain pen'], ['mark' => 'set aside']);
        $after = array_column($this->getJson($this->path)->json('rows'), null, 'topic');
        self::assertSame([1, 500, 'best fountain pen'], [
            $after['fountain pen']['keywords'], $after['fountain pen']['volume'], $after['fountain pen']['lead'],
        ]);
        self::assertSame(
            array_diff_key(array_column($before, null, 'topic')['blue ink'], ['rank' => 1]),
            array_diff_key($after['blue ink'], ['rank' => 1]),
            'No other topic changed.',
        );
        $this->decide(['best fountain pen'], ['mark' => 'set aside']);
        self::assertSame(['blue ink', 'wax'], array_column($this->getJson($this->path)->json('rows'), 'topic'), 'None is open any more.');
        $this->postJson("/api/v1/studies/{$this->study->slug}/decisions/undo", [])->assertStatus(422);
        $this->decide(['best fountain pen'], ['mark' => null]);
        $this->postJson("/api/v1/studies/{$this->study->slug}/decisions/undo", ['change' => $change])->assertOk();
        self::assertEquals($before, $this->getJson($this->path)->json('rows'));
    }

    public function test_a_keyword_that_changes_its_topic_takes_its_figures_along(): void
    {
        $this->decide(['best fountain pen'], ['topic' => 'blue ink']);
        $moved = array_column($this->getJson($this->path)->json('rows'), null, 'topic');
        self::assertSame([1, 2, 900], [$moved['fountain pen']['keywords'], $moved['blue ink']['keywords'], $moved['blue ink']['volume']]);
        $this->decide(['best fountain pen', 'fountain pen'], ['topic' => 'writing']);
        $named = array_column($this->getJson($this->path)->json('rows'), null, 'topic');
        self::assertSame(['fountain pen', 2], [$named['writing']['lead'], $named['writing']['keywords']], 'The most volume leads.');
        self::assertArrayNotHasKey('fountain pen', $named);
        // Whether we have a page for a topic hangs on all keywords of our pages: the comparison is made anew.
        $stays = ['topic' => 1, 'lead' => 1, 'keywords' => 1, 'volume' => 1, 'visits_now' => 1, 'potential' => 1, 'gain' => 1];
        $corrected = array_map(static fn(array $row): array => array_intersect_key($row, $stays), $named);
        $version = $this->study->comparison_id;
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        self::assertNotSame($version, $this->study->refresh()->comparison_id);
        $anew = array_column($this->getJson($this->path)->json('rows'), null, 'topic');
        self::assertEquals($corrected, array_map(static fn(array $row): array => array_intersect_key($row, $stays), $anew));
    }

    public function test_topics_weighed_again_are_those_weighed_with_the_comparison(): void
    {
        $this->command('reach:rulebook', ['slug' => $this->study->slug, '--set' => ['min_fit=2']]);
        $this->decide(['fountain pen', 'best fountain pen', 'blue ink', 'wax'], ['fit' => 3]);
        $this->decide(['blue ink'], ['topic' => "fountain\u{00e9} \"pen\""]);
        $this->decide(['best fountain pen'], ['mark' => 'set aside']);
        $this->study->refresh()->touchData();
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $comparison = $this->study->refresh()->comparison;
        self::assertInstanceOf(Comparison::class, $comparison);
        $topics = static fn(): array => $comparison->topicTable()->query()->orderBy('topic')->get()->all();
        $made = $topics();
        self::assertCount(3, $made);
        app(WeighTopics::class)->again($this->study, $comparison, ['fountain pen', 'blue ink', ...array_column($made, 'topic')]);
        self::assertEquals($made, $topics());
    }

    public function test_the_sentence_the_weights_and_the_headings_order_it(): void
    {
        $topics = fn(string $query): array => array_column($this->getJson("{$this->path}?{$query}")->assertOk()->json('rows'), 'topic');
        self::assertSame(['blue ink'], $topics('show='.urlencode('own>=20')));
        self::assertSame(['fountain pen'], $topics('show='.urlencode('volume<=600;volume>=450')), 'With any keyword that fits.');
        self::assertSame(['wax', 'fountain pen', 'blue ink'], $topics('sort=topic&dir=desc&limit=3'));
        self::assertSame(['blue ink', 'fountain pen', 'wax'], $topics('sort=difficulty&dir=desc'));
        self::assertSame(['fountain pen'], $topics('limit=1'));
        self::assertSame('1', $this->getJson("{$this->path}?limit=1")->json('next'));
        self::assertSame(2, $this->getJson("{$this->path}?limit=1&cursor=1")->json('rows.0.rank'));
        $this->getJson("{$this->path}?sort=luck")->assertStatus(422);
        $this->getJson("{$this->path}?weights=luck:1")->assertStatus(422);
    }

    public function test_a_topic_with_a_semicolon_in_its_name_can_be_asked_for(): void
    {
        $this->decide(['blue ink'], ['topic' => 'ink; blue']);
        self::assertSame(['blue ink'], array_column($this->keywords('topic=ink\\; blue;mark=kept'), 'keyword'));
        $groups = $this->getJson("/api/v1/studies/{$this->study->slug}/opportunities/groups?by=topic")->json();
        $clause = array_column($groups, 'clause', 'name')['ink; blue'];
        self::assertSame(['blue ink'], array_column($this->keywords((string) $clause), 'keyword'));
        self::assertSame('topic=ink\\; blue', (string) Sentence::parse('topic=ink\\; blue'), 'One spelling.');
    }

    public function test_a_shortlisted_keyword_is_counted_on_its_page(): void
    {
        $this->decide(['blue ink'], ['mark' => 'shortlisted']);
        self::assertSame([0, 1, 0], array_column($this->getJson($this->path)->json('rows'), 'shortlisted'));
    }

    public function test_a_pinned_keyword_puts_its_page_above_the_order(): void
    {
        $this->decide(['wax'], ['pinned' => true]);
        $rows = $this->getJson($this->path)->json('rows');
        self::assertSame(['wax', 'fountain pen', 'blue ink'], array_column($rows, 'topic'));
        self::assertSame([true, false, false], array_column($rows, 'pinned'));
        self::assertSame('fountain pen', $this->getJson("{$this->path}?sort=gain")->json('rows.0.topic'), 'Other orders are as they are.');
        $this->decide(['wax'], ['mark' => 'set aside']);
        self::assertSame('fountain pen', $this->getJson($this->path)->json('rows.0.topic'));
    }

    public function test_a_decision_about_a_page_is_one_about_its_open_keywords(): void
    {
        $decisions = "/api/v1/studies/{$this->study->slug}/decisions";
        $this->decide(['best fountain pen'], ['mark' => 'set aside']);
        $this->postJson($decisions, ['topics' => ['fountain pen'], 'mark' => 'shortlisted', 'reason' => 'spring', 'tag' => 'gifts'])
            ->assertOk()
            ->assertJsonPath('keywords', 1);
        $keyword = $this->keywords('mark=shortlisted')[0];
        self::assertSame(['fountain pen', 'spring', ['gifts']], [$keyword['keyword'], $keyword['reason'], $keyword['tags']]);
        $this->postJson($decisions, ['topics' => ['blue ink', 'wax'], 'fit' => 4])->assertOk()->assertJsonPath('keywords', 2);
        $this->postJson($decisions, ['topics' => ['no such topic'], 'fit' => 4])->assertStatus(422);
    }

    public function test_steadiness_groups_and_map_are_there_by_page(): void
    {
        $at = "/api/v1/studies/{$this->study->slug}/opportunities";
        $steady = $this->getJson("{$at}/steadiness?by=topic")->assertOk()->json();
        $names = self::sorted(array_map(strval(...), array_keys($steady['shares'])));
        self::assertSame(['blue ink', 'fountain pen', 'wax'], $names, 'All stay among the first twenty.');
        self::assertEquals([1, 1, 1], array_column($steady['shares'], 'share'));
        $ofInk = array_column($this->getJson("{$at}/map?by=topic")->assertOk()->json('points'), null, 'name');
        $topic = array_column($this->getJson($this->path)->json('rows'), null, 'topic')['fountain pen'];
        foreach (['difficulty', 'expected_gain', 'win_chance', 'priority'] as $figure) {
            self::assertEqualsWithDelta($topic[$figure], $ofInk['fountain pen'][$figure], 1e-9, $figure);
        }
        $groups = $this->getJson("{$at}/groups?by=topic")->assertOk()->json();
        self::assertSame([1, 1, 1], array_column($groups, 'pages'));
    }

    public function test_our_pages_tell_what_they_bring_and_what_could_be_gained(): void
    {
        $at = "/api/v1/studies/{$this->study->slug}";
        $earlier = "keyword,position,url\nfountain pen,4,https://quillfair.example/pens\nblue ink,35,https://quillfair.example/ink\n";
        $this->import($this->study, $earlier, options: ['--domain' => 'quillfair.example', '--date' => '2026-05-10']);
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $read = $this->getJson("{$at}/bench/ours")->assertOk()->json();
        self::assertSame(['2026-11-01', '2026-05-10', null], [$read['now'], $read['six_months_ago'], $read['a_year_ago']]);
        $pages = array_column($read['pages'], null, 'url');
        $pens = $pages['https://quillfair.example/pens'];
        $rows = $this->keywords('');
        $pen = array_column($rows, null, 'keyword')['fountain pen'];
        self::assertSame([3, 'pen case', 2], [$pens['keywords'], $pens['traffic_leader'], $pens['striking']]);
        self::assertEqualsWithDelta(
            array_sum(array_column(array_filter($rows, static fn(array $row): bool => $row['topic'] === 'fountain pen'), 'gain')),
            $pens['gain'],
            1e-9,
        );
        self::assertContains('fountain pen', $pens['topics']);
        self::assertNull($pens['change_12']);
        $curve = $this->study->refresh()->comparison?->models()->curve ?? self::fail('Nothing was learnt.');
        self::assertEqualsWithDelta(1000 * $curve->at(4), $pens['visits_6'], 1e-9, 'At the volumes of now.');
        self::assertEqualsWithDelta($pens['visits'] / $pens['visits_6'] - 1, $pens['change_6'], 1e-12);
        self::assertFalse($pens['is_planned']);
        $this->postJson("{$at}/plan/items", ['topics' => ['fountain pen']])->assertCreated();
        self::assertTrue(array_column($this->getJson("{$at}/bench/ours")->json('pages'), null, 'url')[$pens['url']]['is_planned']);

        self::assertEqualsWithDelta(1.0, array_sum(array_column($read['pages'], 'share')), 1e-9);
        $share = $pen['visits_share'];
        self::assertGreaterThan(0, $share);
        self::assertContains('fountain pen', array_column($this->keywords('share>='.sprintf('%.6F', $share - 1e-6)), 'keyword'));
        self::assertNotContains('fountain pen', array_column($this->keywords('share>='.sprintf('%.6F', $share + 1e-6)), 'keyword'));
    }

    public function test_the_export_has_the_same_topics_narrowed_by_the_sentence(): void
    {
        $export = "/api/v1/studies/{$this->study->slug}/exports/weigh";
        $rows = $this->get("{$export}.json?by=topic")->assertOk()->streamedContent();
        self::assertSame(
            array_column($this->getJson($this->path)->json('rows'), 'expected_gain'),
            array_column(json_decode($rows, true, 8, JSON_THROW_ON_ERROR), 'expected_gain'),
        );
        $some = $this->get("{$export}.csv?by=topic&show=".urlencode('own>=20'))->streamedContent();
        self::assertSame(['blue ink'], array_column(self::readCsv($some), 'topic'));
        $this->getJson("{$export}.csv?by=page")->assertStatus(422);
    }

    public function test_a_goal_is_asked_for_as_an_export(): void
    {
        $plan = "/api/v1/studies/{$this->study->slug}/exports/plan.json";
        $json = $this->get("{$plan}?start=2026-12&goal=1&until=2027-06&odds=.1")->assertOk()->streamedContent();
        self::assertSame('fountain pen', json_decode($json, true, 8, JSON_THROW_ON_ERROR)[0]['item']);
        $this->getJson("{$plan}?goal=5")->assertStatus(422);
        $this->getJson("{$plan}?goal=0&until=2027-06")->assertStatus(422);
        $this->getJson("{$plan}?start=2026-12&goal=5&until=2026-11")->assertStatus(422);
        $this->getJson("{$plan}?by=page")->assertStatus(422);
    }

    /** @return list<array<string, mixed>> */
    private function keywords(string $show): array
    {
        return $this->getJson("/api/v1/studies/{$this->study->slug}/opportunities?".http_build_query(['show' => $show]))->json('rows');
    }

    /**
     * @param list<string>         $keywords
     * @param array<string, mixed> $decision
     */
    private function decide(array $keywords, array $decision): int
    {
        return $this->postJson("/api/v1/studies/{$this->study->slug}/decisions", ['keywords' => $keywords, ...$decision])
            ->assertOk()
            ->json('change');
    }

    /**
     * @param list<string> $texts
     *
     * @return list<string>
     */
    private static function sorted(array $texts): array
    {
        sort($texts);

        return $texts;
    }
}
