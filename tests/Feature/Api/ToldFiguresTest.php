<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\People\PasswordRule;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Explanation\Explanation;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Small figures that stand beside larger ones, each counted by hand. */
final class ToldFiguresTest extends TestCase
{
    private function compared(): Study
    {
        $study = $this->makeStudy();
        $lists = [
            'quillfair.example' => "red pen,14,900,20,1.5\nblue pen,9,700,30,\npen case,2,40,3,.2\n",
            'inkmoor.example' => "red pen,3,900,20,1.5\nink,11,1000,4,.3\n",
            'nibhouse.example' => "red pen,2,900,20,1.5\nwax,40,,5,\n",
        ];
        foreach ($lists as $domain => $rows) {
            $of = ['--domain' => $domain, '--date' => '2026-11-01'];
            $this->import($study, "keyword,position,volume,difficulty,cpc\n{$rows}", options: $of);
        }
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));

        return $study->refresh();
    }

    private function at(Study $study, string $path): string
    {
        return "/api/v1/studies/{$study->slug}/{$path}";
    }

    public function test_the_ledger_tells_of_each_compared_domain_what_it_holds_and_nothing_of_another(): void
    {
        $study = $this->compared();
        $this->postJson($this->at($study, 'domains'), ['domains' => 'waxwing.example'])->assertSuccessful();
        $told = array_column($this->getJson($this->at($study, 'domains'))->assertOk()->json(), null, 'entry');
        $of = static fn(string $entry): array => [$told[$entry]['keywords'], $told[$entry]['first_page'], $told[$entry]['why'] === null];
        self::assertSame([3, 2, false], $of('quillfair.example'));
        self::assertSame([2, 1, false], $of('inkmoor.example'));
        self::assertSame([2, 1, false], $of('nibhouse.example'));
        self::assertSame([null, null, true], $of('waxwing.example'));
        self::assertNull($told['waxwing.example']['visits']);
        $visits = array_column($told, 'visits', 'entry');
        self::assertSame(
            sprintf(
                '%s ÷ %s = %s.',
                Explanation::number($visits['nibhouse.example']),
                Explanation::number(array_sum($visits)),
                Explanation::number($visits['nibhouse.example'] / array_sum($visits)),
            ),
            $told['nibhouse.example']['why']['share_of_clicks']['steps'][0],
        );
        self::assertGreaterThan(0.0, $told['nibhouse.example']['visits']);
        self::assertEqualsWithDelta(
            1.0,
            array_sum(array_map(static fn(array $domain): float => $domain['share_of_clicks'] ?? 0.0, $told)),
            1e-9,
        );
    }

    public function test_the_path_of_a_study_counts_what_is_open_late_and_done(): void
    {
        $study = $this->compared();
        foreach (['red pen' => 'done', 'blue pen' => 'planned', 'ink' => 'writing', 'wax' => 'dropped'] as $keyword => $status) {
            $this->postJson($this->at($study, 'plan/items'), ['keywords' => [$keyword]])->assertSuccessful();
            PlanItem::query()->where('study_id', $study->id)->where('name', $keyword)->update([
                'status' => $status, 'month' => '2026-01', 'done_month' => $status === 'done' ? '2026-01' : null,
            ]);
        }
        $plan = array_column($this->getJson('/api/v1/studies')->assertOk()->json('studies'), 'stages', 'slug')[$study->slug]['plan'];
        self::assertSame(['items' => 2, 'overdue' => 2, 'done' => 1], $plan);
    }

    public function test_the_spread_of_a_figure_counts_each_keyword_once(): void
    {
        $study = $this->compared();
        $told = fn(string $field): array => $this->getJson($this->at($study, "bench/distribution?field={$field}"))->assertOk()->json();
        $bins = static fn(array $told): array => array_column(
            array_filter($told['bins'], static fn(array $bin): bool => $bin['keywords'] > 0),
            'keywords',
            'from',
        );
        self::assertSame([[20 => 1, 500 => 2, 1000 => 1], 1], [$bins($told('volume')), $told('volume')['unknown']]);
        self::assertSame([[0 => 2, 5 => 1, 20 => 1, 30 => 1], 0], [$bins($told('difficulty')), $told('difficulty')['unknown']]);
        self::assertSame([1 => 2, 2 => 3], $bins($told('words')));
        self::assertSame([[2 => 1, 8 => 1, 11 => 1], 2], [$bins($told('own')), $told('own')['unknown']]);
        $this->getJson($this->at($study, 'bench/distribution?field=luck'))->assertStatus(422);
    }

    public function test_an_undo_leaves_a_tag_that_somebody_changed_since(): void
    {
        $study = $this->compared();
        $other = $this->makeEditor($study);
        $decide = fn(array $order): int => $this
            ->postJson($this->at($study, 'decisions'), ['keywords' => ['red pen'], ...$order])->assertOk()->json('change');
        $undo = fn(int $change) => $this->postJson($this->at($study, 'decisions/undo'), ['change' => $change])->assertOk();
        $tags = static fn(): array => DB::table('tags')->where('study_id', $study->id)->orderBy('tag')->pluck('tag')->all();
        $first = $decide(['tag' => 'spring']);
        $fit = $decide(['fit' => 4]);
        $this->actingAs($other);
        $decide(['untag' => 'spring']);
        $decide(['tag' => 'spring']);
        $undo($first)->assertExactJson(['keywords' => 0, 'left' => 1]);
        self::assertSame(['spring'], $tags());
        $undo($fit)->assertExactJson(['keywords' => 1, 'left' => 0]);
    }

    public function test_undoing_a_tag_leaves_the_other_tags_of_the_keyword(): void
    {
        $study = $this->compared();
        $decide = fn(array $order): int => $this
            ->postJson($this->at($study, 'decisions'), ['keywords' => ['red pen'], ...$order])->assertOk()->json('change');
        $decide(['tag' => 'spring']);
        $change = $decide(['tag' => 'summer']);
        $this->postJson($this->at($study, 'decisions/undo'), ['change' => $change])->assertOk();
        self::assertSame(['spring'], DB::table('tags')->where('study_id', $study->id)->pluck('tag')->all());
    }

    public function test_a_keyword_set_aside_leaves_the_counts_of_the_study_at_once(): void
    {
        $study = $this->compared();
        $gaps = fn(): int => $study->refresh()->comparison->shown_gaps ?? -1;
        $before = $gaps();
        self::assertGreaterThan(0, $before);
        $order = ['keywords' => ['ink'], 'mark' => 'set aside'];
        $change = $this->postJson($this->at($study, 'decisions'), $order)->assertOk()->json('change');
        self::assertSame($before - 1, $gaps());
        $this->postJson($this->at($study, 'decisions/undo'), ['change' => $change])->assertOk();
        self::assertSame($before, $gaps());
    }

    public function test_people_are_told_with_when_they_were_last_seen_and_until_when_their_link_holds(): void
    {
        $administrator = $this->makeUser(true);
        [$seen, $invited] = [$this->makeUser(), $this->makeUser()];
        $when = time() - 600;
        DB::table('sessions')->insert(['id' => 'told-'.getmypid(), 'user_id' => $seen->id, 'payload' => '', 'last_activity' => $when]);
        $this->actingAs($administrator)->postJson("/api/v1/people/{$invited->id}/link")->assertCreated();
        $told = array_column($this->getJson('/api/v1/people')->assertOk()->json(), null, 'id');
        self::assertSame([1, gmdate('Y-m-d\TH:i:s\Z', $when), null], [
            $told[$seen->id]['sessions'], $told[$seen->id]['last_seen'], $told[$seen->id]['link_until'],
        ]);
        self::assertSame([0, null], [$told[$invited->id]['sessions'], $told[$invited->id]['last_seen']]);
        self::assertMatchesRegularExpression('/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}Z$/D', (string) $told[$invited->id]['link_until']);
    }

    public function test_a_password_has_four_different_signs_and_not_its_persons_name(): void
    {
        self::assertNull(PasswordRule::wrong('abcdabcdabcd', 'wren@quillfair.example'));
        $wrong = PasswordRule::wrong('abcabcabcabc', 'wren@quillfair.example');
        self::assertStringContainsString('more different characters', (string) $wrong);
        self::assertStringContainsString('at least 12', (string) PasswordRule::wrong('abcdefghijk', 'wren@quillfair.example'));
        self::assertStringContainsString('name and email address', (string) PasswordRule::wrong('hive and Wren', 'wren@quillfair.example'));
        self::assertNull(PasswordRule::wrong('hive and ewe 7', 'ewe@quillfair.example'), 'Three letters stand in many words.');
    }

    public function test_clauses_about_a_domain_are_told_with_its_number_left_open(): void
    {
        $this->actingAs($this->makeUser());
        foreach ($this->getJson('/api/v1/vocabulary')->assertOk()->json('domain_clauses') as $letter => $clause) {
            self::assertSame("{$letter}N", $clause['name']);
            self::assertStringContainsString("{$letter}N", $clause['example']);
        }
    }

    public function test_shares_of_clicks_are_told_for_each_day_of_ours_and_unknown_where_a_domain_has_no_list(): void
    {
        $study = $this->compared();
        $this->import($study, "keyword,position\nred pen,3\nblue pen,5\n", options: [
            '--domain' => 'quillfair.example', '--date' => '2026-10-01',
        ]);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $track = fn(): array => $this->getJson($this->at($study, 'track'))->assertOk()->json();
        [$told, $shares] = [$track(), $track()['shares']];
        self::assertSame($told['shares'], $shares, 'From memory the same.');
        self::assertSame(['2026-10-01', '2026-11-01'], array_column($shares, 'day'));
        self::assertEquals([1.0, 0.0, 0.0], $shares[0]['shares'], 'Nobody else had a list then.');
        $now = array_column($this->getJson($this->at($study, 'domains'))->json(), 'share_of_clicks', 'entry');
        self::assertEqualsWithDelta(array_values($now), $shares[1]['shares'], 1e-9);
        self::assertEqualsWithDelta(1.0, array_sum($shares[1]['shares']), 1e-9);
        $since = $told['since'];
        self::assertSame(['2026-10-01', '2026-11-01'], [$since['from'], $since['to']]);
        self::assertEquals(['slipped' => 2, 'entered' => 1], array_filter($since['moved']));
        self::assertSame(
            [
                ['keyword' => 'red pen', 'before' => 3, 'after' => 14, 'volume' => 900],
                ['keyword' => 'blue pen', 'before' => 5, 'after' => 9, 'volume' => 700],
            ],
            $since['slipped'],
        );
    }

    public function test_findings_name_who_holds_most_and_the_largest_of_all(): void
    {
        $study = $this->compared();
        $this->import($study, "domain,authority\nquillfair.example,20\ninkmoor.example,60\nnibhouse.example,90\n", 'domains');
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $words = array_column($this->getJson($this->at($study, 'findings'))->assertOk()->json('findings'), 'words', 'code');
        self::assertSame('We get 10.2% of the clicks. nibhouse.example gets the most, 52.5%.', $words['share']);
        self::assertStringStartsWith('nibhouse.example is much stronger than us (authority 90, ours 20)', $words['too_large']);
        self::assertSame('The volume of 1 of 5 keywords is unknown.', $words['no_volumes']);
        self::assertStringStartsWith('Competitors rank for 2 keywords where we don’t', $words['gap']);
        $this->postJson($this->at($study, 'decisions'), ['keywords' => ['ink'], 'mark' => 'set aside'])->assertOk();
        $words = array_column($this->getJson($this->at($study, 'findings'))->assertOk()->json('findings'), 'words', 'code');
        self::assertStringStartsWith('Competitors rank for 1 keyword where we don’t', $words['gap']);
    }

    public function test_who_holds_most_is_not_told_of_another(): void
    {
        $study = $this->makeStudy();
        foreach (['quillfair.example' => 1, 'inkmoor.example' => 9] as $domain => $position) {
            $of = ['--domain' => $domain, '--date' => '2026-11-01'];
            $this->import($study, "keyword,position,volume\nred pen,{$position},900\n", options: $of);
        }
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));
        $words = array_column($this->getJson($this->at($study, 'findings'))->assertOk()->json('findings'), 'words', 'code');
        self::assertStringEndsWith('% of the clicks. No competitor gets more.', $words['share']);
        self::assertStringStartsWith('We get 9', $words['share']);
    }

    public function test_pages_are_worth_what_the_curve_of_the_study_says(): void
    {
        $study = $this->makeStudy();
        // A tenth of the searches at the first place, a hundredth less at each that follows, and a thousandth from the tenth on.
        $rates = array_map(static fn(int $place): string => $place < 10 ? '.'.sprintf('%02d', 11 - $place) : '.001', range(1, 100));
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['curve=own', 'curve_own='.implode(',', $rates)]]);
        $lists = [
            'quillfair.example' => "red pen,1,https://quillfair.example/pens,1000\nink,30,https://quillfair.example/ink,500\n",
            'nibhouse.example' => "red pen,2,https://nibhouse.example/pens,1000\nblue pen,9,https://nibhouse.example/pens,100\n"
                ."wax,3,https://nibhouse.example/wax,\n",
        ];
        foreach ($lists as $domain => $rows) {
            $this->import($study, "keyword,position,url,volume\n{$rows}", options: ['--domain' => $domain, '--date' => '2026-11-01']);
        }
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));
        $told = fn(string $asked): array => array_map(
            static fn(array $page): array => [
                $page['url'], $page['keywords'], round($page['visits'], 6), $page['traffic_leader'], $page['we_lack'],
                $page['share'] === null ? null : round($page['share'], 6),
            ],
            $this->getJson($this->at($study, $asked))->assertOk()->json(),
        );
        self::assertEquals(
            [['https://nibhouse.example/pens', 2, 92, 'red pen', 1, 1], ['https://nibhouse.example/wax', 1, 0, 'wax', 1, 0]],
            $told('bench/pages'),
        );
        self::assertEquals(
            [
                ['https://quillfair.example/pens', 1, 100, 'red pen', 0, round(100 / 100.5, 6)],
                ['https://quillfair.example/ink', 1, .5, 'ink', 0, round(.5 / 100.5, 6)],
            ],
            $told('bench/pages?domain=0'),
        );
    }

    public function test_the_month_in_review_tells_what_moved_and_what_comes_next(): void
    {
        $study = $this->compared();
        $text = function () use ($study): string {
            $html = (string) $this->get($this->at($study, 'exports/review.html'))->assertOk()->getContent();
            self::assertStringNotContainsString('<script', $html);

            return trim((string) preg_replace('/\s+/u', ' ', html_entity_decode(strip_tags(str_replace('<', ' <', $html)))));
        };
        self::assertStringContainsString('There is only one day of rankings so far.', $text());
        self::assertStringContainsString('The roadmap is empty.', $text());
        $this->import($study, "keyword,position\nred pen,3\nblue pen,5\nink,2\n", options: [
            '--domain' => 'quillfair.example', '--date' => '2026-10-01',
        ]);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->postJson($this->at($study, 'plan/items'), ['keywords' => ['red pen']])->assertSuccessful();
        $item = PlanItem::query()->where('study_id', $study->id)->sole();
        $planned = ['version' => $item->version, 'month' => '2027-02', 'owner' => 'Rowan', 'effort_days' => 2.5];
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), $planned)->assertOk();
        $told = $text();
        foreach (
            [
                'against inkmoor.example, nibhouse.example. Rankings of 1 Nov 2026.',
                'Since 1 Oct 2026 We climbed on 0 keywords, dropped on 2, entered on 1 and left on 1. 2 gaps opened and 0 closed.',
                'Gaps opened Volume We Best ink 1,000 absent 11 wax · absent 40',
                'quillfair.example 100% 10% inkmoor.example 0% 37% nibhouse.example 0% 53%',
                'We dropped on 2 keywords and lost about 122 visits a month.',
                'Nothing on the roadmap is done yet.',
                '2027-02 red pen refresh page Rowan planned 2.5',
            ] as $words
        ) {
            self::assertStringContainsString($words, $told);
        }
        $this->postJson($this->at($study, 'decisions'), ['keywords' => ['ink'], 'mark' => 'set aside'])->assertOk();
        self::assertStringContainsString('1 gap opened and 0 closed. 1 new gap to decide on.', $text());
    }

    public function test_the_stage_at_which_we_lag_most_is_told_with_who_leads_there(): void
    {
        $study = $this->makeStudy();
        $lists = [
            'quillfair.example' => "how to ink,2,500\nwhat is wax,4,500\nbuy red pen,11,900\n",
            'inkmoor.example' => "buy red pen,10,900\nbuy wax,3,100\nwhat is wax,12,500\n",
            'nibhouse.example' => "buy red pen,1,900\nbuy wax,2,100\nbuy blue pen,9,300\n",
        ];
        foreach ($lists as $domain => $rows) {
            $this->import($study, "keyword,position,volume\n{$rows}", options: ['--domain' => $domain, '--date' => '2026-11-01']);
        }
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));
        $findings = array_column($this->getJson($this->at($study, 'findings'))->assertOk()->json('findings'), null, 'code');
        self::assertStringStartsWith(
            'Of 3 keywords at the bottom of the funnel we have 0 on page one and nibhouse.example has 3. Beyond page one: 3 keywords',
            $findings['funnel']['words'],
        );
    }
}
