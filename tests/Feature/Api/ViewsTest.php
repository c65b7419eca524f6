<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Bench\PagesQuery;
use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Comparison\DomainPages;
use GreaterReach\Core\Comparison\Movement;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Comparison\Standing;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** The wide sentence and the other views of the bench, held to the core on random data. */
final class ViewsTest extends TestCase
{
    private const FOLLOWED = ['keyword', 'target', 'gain', 'expected_gain', 'score_gain', 'intent', 'score_intent', 'score_fit'];

    public function test_movement_and_gaps_in_sql_are_those_of_the_core(): void
    {
        $comparison = $this->random(11);
        $rows = DB::table('comparison_rows')
            ->where('study_id', $comparison->study_id)
            ->where('comparison_id', $comparison->id)
            ->get(['keyword', 'positions', 'previous']);
        foreach ([0, 1, 2] as $domain) {
            foreach (Movement::cases() as $movement) {
                $expected = $rows
                    ->filter(static fn(\stdClass $row): bool => self::moved($row, $domain) === $movement)
                    ->pluck('keyword')
                    ->sort()
                    ->values()
                    ->all();
                self::assertSame($expected, $this->shown($comparison, "m{$domain}={$movement->value}"));
            }
        }
        $opened = $rows
            ->filter(static fn(\stdClass $row): bool => self::isGap($row->positions) && !self::isGap($row->previous))
            ->pluck('keyword')
            ->sort()
            ->values()
            ->all();
        self::assertNotSame([], $opened);
        self::assertSame($opened, $this->shown($comparison, 'gaps=opened'));
    }

    public function test_pages_in_sql_are_those_of_the_core(): void
    {
        $comparison = $this->random(12);
        $pages = new DomainPages(CtrCurve::default());
        $rows = DB::select(
            'SELECT r.keyword, r.position, r.url, c.volume, c.own_position FROM rankings r JOIN live_snapshots s ON s.id = '
                .'r.snapshot_id AND s.day = ? AND s.domain_id = ? JOIN comparison_rows c ON c.study_id = r.study_id AND '
                    .'c.comparison_id = ? AND c.keyword = r.keyword WHERE r.study_id = ?',
            ['2026-11-01', $comparison->domains[1]['id'], $comparison->id, $comparison->study_id],
        );
        foreach ($rows as $row) {
            $pages->add(new Ranking($row->keyword, $row->position, $row->url), $row->volume, $row->own_position !== null);
        }
        $read = (new PagesQuery())->execute($comparison, Sentence::parse(''), 1);
        self::assertCount(\count($pages->tallies()), $read);
        foreach ($pages->tallies() as $number => $tally) {
            self::assertSame(
                [$tally->url, $tally->keywords, $tally->trafficLeader, $tally->weLack],
                [$read[$number]['url'], $read[$number]['keywords'], $read[$number]['traffic_leader'], $read[$number]['we_lack']],
            );
            self::assertEqualsWithDelta($tally->visits, $read[$number]['visits'], 1e-9);
            self::assertEqualsWithDelta($tally->shareOfVisits, $read[$number]['share'], 1e-12);
        }
    }

    public function test_alternatives_words_and_patterns_narrow_as_they_say(): void
    {
        $comparison = $this->small();
        self::assertSame(['big pen', 'dear nib'], $this->shown($comparison, '(volume>=1000|cpc>=2)'));
        self::assertSame(['how to ink', 'pen login'], $this->shown($comparison, 'regex=^(how|pen)'));
        self::assertSame(['how to ink'], $this->shown($comparison, 'stage=top'));
        self::assertSame(['ab1234 pen'], $this->shown($comparison, 'codes=only'));
        self::assertSame(['pen login'], $this->shown($comparison, 'navigational=only'));
        self::assertSame(['big pen', 'how to ink'], $this->shown($comparison, 'holds=0'));
        self::assertSame(['big pen'], $this->shown($comparison, 'holds=0,1'));
        self::assertSame(['how to ink'], $this->shown($comparison, 'page=https://quillfair.example/ink'));
    }

    public function test_a_broken_clause_names_its_place(): void
    {
        $study = Study::query()->findOrFail($this->small()->study_id);
        $this->actingAs($this->makeEditor($study));
        foreach (
            [
                'regex=(' => 'parentheses',
                'regex=a\1' => 'back references',
                '(volume>=1' => 'brackets',
                'p9<=3' => 'in this comparison',
                'stage=beginning' => 'one of top',
                'page=nowhere' => 'URL',
                'dated>=yesterday' => '2026-12-31',
                'weather=fine' => 'not a known clause',
            ] as $show => $says
        ) {
            $told = $this->getJson("/api/v1/studies/{$study->slug}/bench?show=".urlencode($show))
                ->assertStatus(422)
                ->json();
            self::assertStringContainsString($says, $told['detail'], $show);
            self::assertSame($show, $told['clause']);
        }
    }

    public function test_a_sentence_that_shows_nothing_says_which_clause_took_the_last_row(): void
    {
        $study = Study::query()->findOrFail($this->small()->study_id);
        $this->actingAs($this->makeEditor($study));
        $steps = $this->getJson("/api/v1/studies/{$study->slug}/bench/summary?show=".urlencode('volume>=100;cpc>=50;standing=gap'))->json(
            'steps',
        );
        self::assertSame([['clause' => 'volume>=100', 'keywords' => 4], ['clause' => 'cpc>=50', 'keywords' => 0]], $steps);
    }

    public function test_two_people_are_told_of_each_other_and_an_undo_takes_back_only_its_own(): void
    {
        $study = Study::query()->findOrFail($this->small()->study_id);
        [$one, $other] = [$this->makeEditor($study), $this->makeEditor($study)];
        $decide = fn(array $order) => $this->postJson("/api/v1/studies/{$study->slug}/decisions", $order)->assertOk();
        $seen = $this->actingAs($one)->getJson("/api/v1/studies/{$study->slug}")->json('newest_change');
        $first = $decide(['keywords' => ['big pen', 'best pen'], 'mark' => 'set aside', 'reason' => 'not ours', 'seen' => $seen]);
        self::assertSame([], $first->json('others'));
        $this->actingAs($other);
        $second = $decide(['keywords' => ['big pen', 'wax'], 'mark' => 'shortlisted', 'seen' => $seen]);
        self::assertSame(
            [['who' => $one->name, 'keywords' => 1, 'example' => 'big pen', 'mark' => 'set aside']],
            $second->json('others'),
        );
        // The first takes back what is still theirs: "big pen" was decided about since.
        $this->actingAs($one)->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $first->json('change')])
            ->assertOk()->assertExactJson(['keywords' => 1, 'left' => 1]);
        $marks = DB::table('decisions')->where('study_id', $study->id)->orderBy('keyword')->pluck('mark', 'keyword')->all();
        self::assertSame(['best pen' => null, 'big pen' => 'shortlisted', 'wax' => 'shortlisted'], $marks);
        // What is decided about other columns is nobody else's matter.
        $fit = $decide(['keywords' => ['wax'], 'fit' => 3]);
        $decide(['keywords' => ['wax'], 'note' => 'ask']);
        $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $fit->json('change')])
            ->assertOk()->assertExactJson(['keywords' => 1, 'left' => 0]);
    }

    public function test_reasons_that_were_given_are_offered_the_newest_first(): void
    {
        $study = Study::query()->findOrFail($this->small()->study_id);
        $this->actingAs($this->makeEditor($study));
        $given = [['big pen', 'shortlisted', 'spring'], ['best pen', 'set aside', 'not ours'], ['wax', 'shortlisted', 'spring']];
        foreach ($given as [$keyword, $mark, $reason]) {
            $order = ['keywords' => [$keyword], 'mark' => $mark, 'reason' => $reason];
            $this->postJson("/api/v1/studies/{$study->slug}/decisions", $order)->assertOk();
        }
        $given = array_column($this->getJson("/api/v1/studies/{$study->slug}/reasons")->assertOk()->json(), null, 'reason');
        self::assertSame(['reason' => 'spring', 'mark' => 'shortlisted', 'keywords' => 2], $given['spring']);
        self::assertSame(1, $given['not ours']['keywords']);
    }

    public function test_what_the_list_leaves_out_is_told_with_its_reasons(): void
    {
        $study = Study::query()->findOrFail($this->small()->study_id);
        $this->actingAs($this->makeEditor($study));
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['big pen'], 'mark' => 'set aside'])->assertOk();
        $hidden = $this->getJson("/api/v1/studies/{$study->slug}/opportunities/hidden?show=mark%3Dkept")->assertOk()->json();
        $listed = $this->getJson("/api/v1/studies/{$study->slug}/opportunities?show=mark%3Dkept")->assertOk()->json('total');
        $why = array_column($hidden['hidden'], 'keywords', 'why');
        self::assertSame(1, $why['set aside']);
        self::assertSame($hidden['of'], $listed + array_sum($why), 'Each keyword counts once.');
        $steps = $this->getJson("/api/v1/studies/{$study->slug}/bench/summary?steps=1&show=volume%3E%3D100")->assertOk()->json('steps');
        self::assertSame('volume>=100', $steps[0]['clause']);
    }

    public function test_a_decision_reaches_all_that_a_sentence_shows_and_is_undone(): void
    {
        $study = Study::query()->findOrFail($this->small()->study_id);
        $this->actingAs($this->makeEditor($study));
        $decide = fn(array $order) => $this->postJson("/api/v1/studies/{$study->slug}/decisions", $order)->assertOk();
        $first = $decide(['keywords' => ['big pen'], 'fit' => 4, 'tag' => 'spring', 'note' => 'ask Rowan'])->json();
        $second = $decide(['show' => 'volume>=100', 'fit' => 2, 'tag' => 'spring', 'target' => 1]);
        self::assertSame(4, $second->json('keywords'));
        $comparison = $study->refresh()->comparison;
        self::assertNotNull($comparison);
        self::assertCount(4, $this->shown($comparison, 'tag=spring;fit>=2'));
        $this->sameAsComputedAnew($study);
        $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $second->json('change')])
            ->assertOk()
            ->assertJsonPath('keywords', 4);
        $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $second->json('change')])->assertStatus(422);
        self::assertSame(['big pen'], $this->shown($study->refresh()->comparison ?? $comparison, 'tag=spring;fit>=4'));
        self::assertNull(DB::table('decisions')->where('study_id', $study->id)->where('keyword', 'dear nib')->value('fit'));
        self::assertIsInt($first['change']);
        $decide(['keywords' => ['big pen'], 'intent' => 'learn']);
        $this->sameAsComputedAnew($study);
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['big pen']])->assertStatus(422);
    }

    public function test_lenses_are_ready_made_saved_and_forgotten(): void
    {
        $study = Study::query()->findOrFail($this->small()->study_id);
        $this->actingAs($this->makeEditor($study));
        $ready = $this->getJson("/api/v1/studies/{$study->slug}/lenses")
            ->assertOk()
            ->json('ready');
        self::assertGreaterThan(5, \count($ready));
        foreach ($ready as $lens) {
            $this->getJson("/api/v1/studies/{$study->slug}/bench?show=".urlencode($lens['show']))->assertOk();
        }
        $id = $this->postJson("/api/v1/studies/{$study->slug}/lenses", ['name' => 'Dear ones', 'show' => 'cpc>=2'])
            ->assertStatus(201)
            ->json('id');
        $this->postJson("/api/v1/studies/{$study->slug}/lenses", ['name' => 'Broken', 'show' => 'weather=fine;(x'])->assertStatus(422);
        self::assertSame('Dear ones', $this->getJson("/api/v1/studies/{$study->slug}/lenses")->json('own.0.name'));
        $this->deleteJson("/api/v1/studies/{$study->slug}/lenses/{$id}")->assertOk();
        self::assertSame([], $this->getJson("/api/v1/studies/{$study->slug}/lenses")->json('own'));
    }

    public function test_movement_page_one_and_noise_are_told(): void
    {
        $comparison = $this->small();
        $study = Study::query()->findOrFail($comparison->study_id);
        $this->import(
            $study,
            "keyword,position,url\nbig pen,30,https://quillfair.example/pen\nwax,4,https://quillfair.example/wax\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-10-01'],
        );
        $this->import(
            $study,
            "keyword,position,url,page strength,referring domains\nbig pen,1,https://a.example/,60,9\nbig pen,2,https://b.example/,12,3\n",
            'results',
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));
        $moved = $this->getJson("/api/v1/studies/{$study->slug}/bench/movement?domain={$comparison->domains[0]['id']}")
            ->assertOk()
            ->json();
        self::assertEquals(['entered' => 1, 'left' => 1, 'climbed' => 1, 'slipped' => 0, 'steady' => 0], $moved['counts']);
        self::assertSame([['2026-11-01', '2026-10-01'], '2026-10-01', '2026-11-01'], [$moved['days'], $moved['from'], $moved['to']]);
        $pageOne = $this->getJson("/api/v1/studies/{$study->slug}/bench/page-one?show=".urlencode('text=big'))
            ->assertOk()
            ->json();
        self::assertSame(['big pen', 1, 2], [$pageOne[0]['keyword'], $pageOne[0]['weak'], \count($pageOne[0]['results'])]);
        $noise = $this->getJson("/api/v1/studies/{$study->slug}/bench/noise")
            ->assertOk()
            ->json('clauses');
        self::assertSame(['codes=hide' => 1, 'navigational=hide' => 1], array_column($noise, 'keywords', 'clause'));
    }

    public function test_organic_and_paid_stand_side_by_side_and_an_empty_channel_says_so(): void
    {
        $comparison = $this->small();
        $study = Study::query()->findOrFail($comparison->study_id);
        $this->actingAs($this->makeEditor($study));
        $url = "/api/v1/studies/{$study->slug}/bench/advertising";
        $empty = $this->getJson($url)->assertOk()->json();
        self::assertSame([[null], []], [array_values(array_unique(array_column($empty['domains'], 'day'))), $empty['rows']]);
        $this->import(
            $study,
            "keyword,position\nbig pen,2\nunheard of,1\n",
            options: ['--domain' => $comparison->domains[1]['entry'], '--date' => '2026-11-01', '--channel' => 'paid'],
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $read = $this->getJson($url)->assertOk()->json();
        self::assertSame(
            ['both' => 0, 'only_we' => 0, 'only_they' => 1],
            $read['counts'],
            'A keyword that only a paid list knows is not compared.',
        );
        self::assertSame([null, '2026-11-01'], [$read['domains'][0]['day'], $read['domains'][1]['day']]);
        self::assertSame(['big pen', null, 2], [$read['rows'][0]['keyword'], $read['rows'][0]['paid'][0], $read['rows'][0]['paid'][1]]);
        self::assertSame(
            [],
            $this->getJson($url.'?show='.urlencode('paid=we'))
                ->assertOk()
                ->json('rows'),
        );
    }

    public function test_fit_by_rule_holds_until_a_person_says_otherwise_and_follows_the_topic(): void
    {
        $comparison = $this->small();
        $study = Study::query()->findOrFail($comparison->study_id);
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['fit_rules=nib:1,pen:4']]);
        $comparison = app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        self::assertSame(['ab1234 pen', 'big pen', 'pen login'], $this->shown($comparison, 'fit>=4'));
        self::assertSame(['dear nib'], $this->shown($comparison, 'fit<=1'));
        $this->actingAs($this->makeEditor($study));
        $decide = fn(array $set) => $this->postJson("/api/v1/studies/{$study->slug}/decisions", $set)->assertOk();
        $decide(['keywords' => ['big pen'], 'fit' => 0]);
        self::assertSame(['big pen', 'dear nib'], $this->shown($comparison, 'fit<=1'), 'A person beats the rule.');
        $decide(['keywords' => ['how to ink'], 'topic' => 'dear nib']);
        self::assertSame(['big pen', 'dear nib', 'how to ink'], $this->shown($comparison, 'fit<=1'), 'The rule follows the topic.');
        // Whether we have a page for a topic is known again once the comparison is made anew, which it asks for.
        $this->sameAsComputedAnew($study, ['keyword', 'target', 'gain', 'score_gain', 'intent', 'score_intent', 'score_fit']);
        self::assertNotSame($comparison->id, $study->refresh()->comparison_id);
    }

    /** @param list<string> $columns */
    private function sameAsComputedAnew(Study $study, array $columns = self::FOLLOWED): void
    {
        $rows = static fn(Study $of): array => DB::table('comparison_rows')
            ->where('study_id', $of->id)
            ->where('comparison_id', $of->comparison_id)
            ->orderBy('keyword')
            ->get($columns)
            ->all();
        $followed = $rows($study->refresh());
        $study->touchData();
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        self::assertEquals($rows($study->refresh()), $followed);
    }

    private function small(): Comparison
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,url\nbig pen,12,https://quillfair.example/pen\nhow to ink,3,https://quillfair.example/ink\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $study,
            "keyword,position\nbig pen,3\ndear nib,4\nab1234 pen,9\npen login,1\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $study,
            "keyword,volume,difficulty,cpc\nbig pen,2000,20,1\ndear nib,150,10,3\nhow to ink,200,5,\npen login,900,5,.1\n",
            'keywords',
        );

        return app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
    }

    private function random(int $seed): Comparison
    {
        $random = new Randomizer(new Mt19937($seed));
        $study = $this->makeStudy(['inkmoor.example', 'nibhouse.example']);
        $this->import(
            $study,
            "keyword,volume\n".
                implode(
                    '',
                    array_map(
                        static fn(int $number): string => "word {$number},".($number % 5 === 0 ? '' : 10 * $random->getInt(0, 90))."\n",
                        range(1, 60),
                    ),
                ),
            'keywords',
        );
        foreach (['2026-10-01', '2026-11-01'] as $day) {
            foreach (['quillfair.example', 'inkmoor.example', 'nibhouse.example'] as $host) {
                $rows = array_map(
                    static fn(int $number): string => $random->getInt(0, 9) < 4
                        ? ''
                        : "word {$number},{$random->getInt(1, 100)},https://{$host}/page-{$random->getInt(1, 7)}\n",
                    range(1, 60),
                );
                $this->import($study, "keyword,position,url\n".implode('', $rows), options: ['--domain' => $host, '--date' => $day]);
            }
        }

        return app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
    }

    /** @return list<string> */
    private function shown(Comparison $comparison, string $show): array
    {
        return array_values(
            array_map(
                strval(...),
                (new ComparisonRows($comparison))->query(Sentence::parse($show))->orderBy('keyword')->pluck('keyword')->all(),
            ),
        );
    }

    private static function moved(\stdClass $row, int $domain): ?Movement
    {
        return Movement::between(self::ints($row->previous)[$domain], self::ints($row->positions)[$domain], .2);
    }

    private static function isGap(string $positions): bool
    {
        $all = self::ints($positions);

        return Standing::of($all[0], self::best($all)) === Standing::Gap;
    }

    /** @param list<?int> $positions */
    private static function best(array $positions): ?int
    {
        $others = array_filter(\array_slice($positions, 1), is_int(...));

        return $others === [] ? null : min($others);
    }

    /** @return list<?int> */
    private static function ints(string $array): array
    {
        return \App\Support\Database\Figures::ints($array);
    }
}
