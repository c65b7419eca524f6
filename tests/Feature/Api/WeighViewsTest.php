<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Bench\SteadinessQuery;
use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Work\PerformTask;
use App\Models\Comparison;
use App\Models\Study;
use App\Models\Task;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RankedRow;
use App\Support\Rows\RankedRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlacesAfterWork;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** Groups, map and steadiness, held to sums and orders reckoned here from the single rows. */
final class WeighViewsTest extends TestCase
{
    public function test_groups_add_up_to_their_rows(): void
    {
        [$study, $rows] = $this->weighed();
        foreach (
            ['topic' => 'topic', 'intent' => 'intent', 'tactic' => 'tactic', 'horizon' => 'horizon', 'page' => 'own_url'] as $by => $column
        ) {
            $groups = $this->getJson("/api/v1/studies/{$study->slug}/opportunities/groups?by={$by}")
                ->assertOk()
                ->json();
            self::assertSame($rows->count(), array_sum(array_column($groups, 'keywords')), $by);
            self::assertEqualsWithDelta($rows->sum('expected_gain'), array_sum(array_column($groups, 'expected_gain')), 1e-6, $by);
            foreach ($groups as $group) {
                $own = $rows->where($column, $group['name']);
                self::assertSame([$own->count(), (int) $own->sum('volume')], [$group['keywords'], $group['volume']]);
                self::assertEqualsWithDelta($own->whereNotNull('difficulty')->avg('difficulty'), $group['difficulty'], 1e-9);
                if (\in_array($by, ['topic', 'intent', 'horizon'], true) && $group['clause'] !== null) {
                    $this->getJson(
                        "/api/v1/studies/{$study->slug}/opportunities?limit=1&show=".urlencode($group['clause']),
                    )->assertJsonPath('total', $group['keywords']);
                }
            }
        }
    }

    public function test_a_tactic_opens_with_and_without_links(): void
    {
        [$study, $rows] = $this->weighed();
        $open = $this->getJson("/api/v1/studies/{$study->slug}/opportunities?show=".urlencode('tactic=new page'))
            ->assertOk()
            ->json('total');
        self::assertSame($rows->whereIn('tactic', ['new page', 'new page + links'])->count(), $open);
        self::assertGreaterThan(0, $open);
    }

    /** The pages of the list, one after the other, against the rule of the core on the same rows, whatever the weights. */
    public function test_the_list_is_in_the_order_of_the_core(): void
    {
        [$study, $rows, $comparison] = $this->weighed();
        $random = new Randomizer(new Mt19937(5));
        foreach ($rows->pluck('keyword')->all() as $number => $keyword) {
            if ($number % 4 === 0) {
                $this->postJson("/api/v1/studies/{$study->slug}/decisions", [
                    'keywords' => [$keyword],
                    'fit' => $number % 6,
                ])->assertOk();
            }
        }
        $told = 0;
        $all = ComparisonRows::read($comparison->table()->query()->where('is_listed', true));
        foreach (range(1, 25) as $round) {
            $weights = Weights::of([
                ...array_map(
                    static fn(): float => $random->getInt(0, 3) * 0.5,
                    array_flip(array_filter(Criterion::names(), static fn(): bool => $random->getInt(0, 1) === 1)),
                ),
                'gain' => 1.0,
            ]);
            $compare = static fn(WeighedRow $a, WeighedRow $b): int => self::place($a, $weights) <=> self::place($b, $weights);
            usort($all, $compare);
            $list = new RankedRows($comparison, Sentence::parse(''), FitGate::open(), false);
            $top = $list->fromCells($weights, 0, 5);
            $told += $top === null ? 0 : 1;
            $found = [];
            for ($offset = 0, $limit = $random->getInt(7, 60); $offset < \count($all); $offset += $limit) {
                array_push($found, ...$list->page($weights, $offset, $limit));
            }
            $keywords = array_map(static fn(WeighedRow $row): string => $row->keyword, $all);
            self::assertSame($keywords, array_map(static fn(RankedRow $row): string => $row->row->keyword, $found), (string) $weights);
            if ($top !== null) {
                self::assertEquals(\array_slice($found, 0, 5), $top, 'Some cells of scores are enough.');
            }
            foreach ($found as $row) {
                self::assertEqualsWithDelta($weights->priorityOf($row->row->scores ?? Scores::inOrder()), $row->priority, 1e-12);
            }
        }
        self::assertGreaterThan(5, $told);
    }

    /** @return list<int|float|string> what the core's order goes by, the smallest first */
    private static function place(WeighedRow $row, Weights $weights): array
    {
        $last = static fn(?float $figure, int $sign): array => [$figure === null ? 1 : 0, $sign * round($figure ?? 0.0, 9)];
        $part = $row->expectedGain !== null ? 0 : ($row->gain !== null ? 1 : 2);
        $priority = $row->scores === null ? null : $weights->priorityOf($row->scores);

        return [$part, ...$last($priority, -1), ...$last($row->gain, -1), ...$last($row->difficulty, 1), $row->keyword];
    }

    public function test_what_is_pinned_stands_above_the_order_and_any_column_can_be_gone_by(): void
    {
        [$study, $rows] = $this->weighed();
        $last = (string) $rows->sortBy('gain')->firstOrFail()->keyword;
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => [$last], 'pinned' => true])->assertOk();
        $list = fn(string $query): array => $this->getJson("/api/v1/studies/{$study->slug}/opportunities?{$query}")
            ->assertOk()
            ->json('rows');
        $known = static fn(array $rows, string $column): array => array_values(
            array_filter(array_column($rows, $column), static fn(mixed $value): bool => $value !== null),
        );
        self::assertSame($last, $list('')[0]['keyword']);
        $sorts = ['gain' => 'gain', 'expected' => 'expected_gain', 'chance' => 'win_chance', 'difficulty' => 'difficulty'];
        foreach ($sorts as $sort => $column) {
            $down = $known($list("sort={$sort}"), $column);
            $sorted = $down;
            rsort($sorted);
            self::assertSame($sorted, $down, $sort);
            self::assertNotSame([], $down);
            self::assertSame(end($sorted), $known($list("sort={$sort}&dir=asc"), $column)[0], $sort);
        }
        $this->getJson("/api/v1/studies/{$study->slug}/opportunities?sort=luck")->assertUnprocessable();
    }

    public function test_the_length_of_the_list_follows_decisions_and_their_undoing(): void
    {
        [$study, $rows] = $this->weighed();
        $length = fn(): int => $this->getJson("/api/v1/studies/{$study->slug}/opportunities?show=".urlencode('mark=kept'))
            ->assertOk()
            ->json('total');
        self::assertSame($rows->count(), $length());
        $change = $this->postJson("/api/v1/studies/{$study->slug}/decisions", [
            'keywords' => [$rows->firstOrFail()->keyword],
            'mark' => 'set aside',
            'reason' => 'not ours',
        ])
            ->assertOk()
            ->json('change');
        self::assertSame($rows->count() - 1, $length());
        $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $change])->assertOk();
        self::assertSame($rows->count(), $length());
    }

    public function test_an_unknown_trait_is_refused_with_those_there_are(): void
    {
        [$study] = $this->weighed();
        $this->getJson("/api/v1/studies/{$study->slug}/opportunities/groups?by=colour")
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Group by one of topic, intent, stage, tactic, horizon, page.');
    }

    public function test_the_map_draws_what_has_both_figures_and_where_the_chance_passes_a_half(): void
    {
        [$study, $rows, $comparison] = $this->weighed();
        $map = $this->getJson("/api/v1/studies/{$study->slug}/opportunities/map?by=keyword")
            ->assertOk()
            ->json();
        self::assertSame(
            $rows->whereNotNull('difficulty')->whereNotNull('expected_gain')->count(),
            \count($map['points']) + $map['left_out'],
        );
        self::assertNotSame([], $map['contours']);
        $models = $comparison->models();
        self::assertNotNull($models);
        foreach ($map['contours'] as $contour) {
            $chances = $models->positions->chances((float) $contour['difficulty'], Ground::none(), $contour['volume'] ?? null);
            $reached = PlacesAfterWork::of(PageKind::New, $chances, null, .35, $models->effects->new->mean())->upTo(3);
            self::assertEqualsWithDelta($contour['chance'], $reached, 1e-9);
        }
    }

    public function test_steadiness_from_the_database_is_that_of_all_rows(): void
    {
        [$study, $rows, $comparison] = $this->weighed();
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['steadiness_draws=60', 'steadiness_top=5']]);
        $weights = Weights::preset('reach');
        $read = (new SteadinessQuery())->execute($comparison, Sentence::parse(''), $study->refresh()->rulebook(), $weights);
        self::assertSame([5, 60], [$read['top'], $read['draws']]);
        $shares = array_map(static fn(array $one): float => $one['share'], $read['shares']);
        self::assertEqualsWithDelta(5.0, array_sum($shares), 1e-9, 'Five places are given in each draw.');
        $ordered = $rows
            ->whereNotNull('expected_gain')
            ->sort(
                static fn(\stdClass $a, \stdClass $b): int => $b->gain <=> $a->gain ?:
                ($a->difficulty ?? INF) <=> ($b->difficulty ?? INF) ?:
                strcmp($a->keyword, $b->keyword),
            )
            ->values();
        $scores = $ordered
            ->map(
                static fn(\stdClass $row): array => array_map(
                    static fn(Criterion $one): ?float => Figures::float($row->{RowCatalogue::score($one->value)}),
                    $weights->criteria(),
                ),
            )
            ->all();
        $all = Steadiness::ofScores(array_combine($ordered->pluck('keyword')->all(), $scores), \count($weights->criteria()), 60, 5, 1);
        self::assertEquals($all, $shares);
        foreach ($read['shares'] as ['share' => $share, 'meaning' => $meaning]) {
            self::assertSame(Steadiness::meaning($share), $meaning);
        }
    }

    public function test_the_steadiness_of_a_long_list_is_reckoned_in_the_background_once(): void
    {
        [$study] = $this->weighed();
        $path = "/api/v1/studies/{$study->slug}/opportunities/steadiness?weights=ease:1,gain:1";
        $atOnce = $this->getJson($path)->assertOk()->json();
        config(['reach.steadiness_at_once' => 10, 'queue.default' => 'database']);
        $task = $this->getJson($path)->assertStatus(202)->assertJsonPath('status', 'waiting')->json('id');
        self::assertSame($task, $this->getJson($path)->assertStatus(202)->json('id'), 'It is not started twice.');
        app(PerformTask::class)->execute(Task::query()->where('id', $task)->firstOrFail());
        self::assertEquals($atOnce, $this->getJson($path)->assertOk()->json());
        $this->getJson("/api/v1/studies/{$study->slug}/tasks/{$task}")->assertOk()->assertJsonPath('kind', 'steadiness');
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['word1'], 'mark' => 'set aside'])->assertOk();
        self::assertNotSame($task, $this->getJson($path)->assertStatus(202)->json('id'), 'What was decided since may change it.');
    }

    public function test_weights_are_kept_in_the_study_for_all_its_people(): void
    {
        $study = $this->makeStudy();
        $path = "/api/v1/studies/{$study->slug}/weight-presets";
        $this->actingAs($this->makeEditor($study));
        $this->postJson($path, ['name' => 'money first', 'weights' => 'value:3,ease:1'])->assertCreated();
        $id = $this->postJson($path, ['name' => 'money first', 'weights' => 'value:2'])
            ->assertCreated()
            ->json('id');
        $this->postJson($path, ['name' => 'nothing', 'weights' => 'value:0'])->assertUnprocessable();
        $this->actingAs($this->makeEditor($study, 'reader'));
        $this->getJson($path)
            ->assertOk()
            ->assertExactJson([
                [
                    'id' => $id,
                    'name' => 'money first',
                    'weights' => [...array_fill_keys(Criterion::names(), 0), 'value' => 2],
                ],
            ]);
        $this->postJson($path, ['name' => 'mine', 'weights' => 'ease:1'])->assertForbidden();
        $this->deleteJson("{$path}/{$id}")->assertForbidden();
        $this->actingAs($this->makeEditor($study))
            ->deleteJson("{$path}/{$id}")
            ->assertOk();
        $this->getJson($path)->assertExactJson([]);
    }

    public function test_the_comparison_tells_what_was_learnt(): void
    {
        [$study, , $comparison] = $this->weighed();
        $fit = $comparison->models()?->positions->fit;
        $told = $this->getJson("/api/v1/studies/{$study->slug}/comparison")->assertOk()->json('comparison.summary');
        self::assertEqualsWithDelta($fit?->betas['difficulty'], $told['position_model']['fit']['betas']['difficulty'], 1e-12);
        self::assertSame($fit?->rows, array_sum($told['position_model']['classes']));
        self::assertSame([3, 10, 20], array_column($told['position_model']['calibration'], 'bound'));
        $effect = $this->getJson("/api/v1/studies/{$study->slug}/effect")->assertOk()->json();
        self::assertSame([0, 0, 0], [$effect['market_pages'], $effect['new']['items'], $effect['existing']['items']]);
    }

    public function test_a_preview_of_the_rulebook_comes_to_what_the_saved_one_does(): void
    {
        [$study, $rows, $comparison] = $this->weighed();
        $settings = [
            'fit_rules' => 'word1:5,word20:0',
            'target' => '5',
            'short_term_chance' => '0.2',
            'striking_to' => '30',
            'curve' => '2006',
            'ease_bands' => '5,10,15,20,25',
            'weights' => 'ease:3,gain:1,fit:2',
            'moving_share' => '0.8',
            'scores' => 'stepped',
            'quick_win_gain' => '40',
            'feature_clicks' => 'map:.5',
        ];
        $preview = $this->postJson("/api/v1/studies/{$study->slug}/rulebook/preview", ['settings' => $settings])
            ->assertOk()
            ->json();
        self::assertSame([], $study->refresh()->rulebook()->changes(), 'Nothing is saved by looking.');
        self::assertSame($this->firstTwenty($study), $preview['before']);
        $this->patchJson("/api/v1/studies/{$study->slug}/rulebook", ['settings' => $settings])->assertOk();
        $new = app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        self::assertNotSame($comparison->id, $new->id);
        $then = DB::table('comparison_rows')->where('study_id', $study->id)->where('comparison_id', $new->id)->get()->keyBy('keyword');
        $moved = $rows->filter(static fn(\stdClass $row): bool => $row->horizon !== $then->get($row->keyword)?->horizon)->count();
        self::assertGreaterThan(0, $moved);
        self::assertSame($moved, array_sum(array_column($preview['horizons'], 'keywords')));
        self::assertEqualsWithDelta($then->where('is_listed', true)->sum('gain'), $preview['gain']['after'], 1e-6);
        self::assertSame($this->firstTwenty($study->refresh()), $preview['after']);
    }

    public function test_a_preview_refuses_what_saving_would_refuse(): void
    {
        [$study] = $this->weighed();
        foreach (
            [
                'weights' => 'volume:0',
                'ease_bands' => '5,4,3,2,1',
                'conversion_rate' => '1.5',
                'curve_own' => implode(',', range(0.01, 1, 0.01)),
            ] as $key => $value
        ) {
            $refused = $this->postJson("/api/v1/studies/{$study->slug}/rulebook/preview", ['settings' => [$key => $value]])
                ->assertUnprocessable()
                ->json('detail');
            self::assertSame(
                $refused,
                $this->patchJson("/api/v1/studies/{$study->slug}/rulebook", ['settings' => [$key => $value]])
                    ->assertUnprocessable()
                    ->json('detail'),
            );
        }
        self::assertSame([], $study->refresh()->rulebook()->changes());
    }

    public function test_the_rulebook_goes_back_to_before_a_change_and_tells_who_made_it(): void
    {
        [$study] = $this->weighed();
        foreach ([['target' => '4'], ['target' => '5', 'min_fit' => '2'], ['weights' => 'ease:2']] as $settings) {
            $this->patchJson("/api/v1/studies/{$study->slug}/rulebook", ['settings' => $settings])->assertOk();
        }
        $history = $this->getJson("/api/v1/studies/{$study->slug}/rulebook/history")
            ->assertOk()
            ->json();
        self::assertSame(
            ['weights', 'target', 'target'],
            array_map(static fn(array $change): string => $change['settings'][0]['key'], $history),
        );
        self::assertSame(['4', '5'], [$history[1]['settings'][0]['from'], $history[1]['settings'][0]['to']]);
        self::assertSame(
            ['target' => '4', 'min_fit' => '0', 'weights' => Rulebook::standard()->spelt('weights')],
            $history[1]['restores'],
            'What is held against it side by side is what going back restores.',
        );
        $this->postJson("/api/v1/studies/{$study->slug}/rulebook/revert", ['change' => $history[1]['change']])->assertOk();
        self::assertSame(['target' => '4'], $study->refresh()->rulebook()->changes());
        $this->postJson("/api/v1/studies/{$study->slug}/rulebook/revert", ['change' => 999999])->assertUnprocessable();
    }

    public function test_a_topic_named_by_a_person_is_followed_at_once_survives_the_next_comparison_and_can_be_undone(): void
    {
        [$study, $rows] = $this->weighed();
        $topics = $rows->groupBy('topic')->sortByDesc(static fn(Collection $members): int => $members->count())->keys()->all();
        $named = fn(Study $of): array => DB::table('comparison_rows')
            ->where('study_id', $of->id)
            ->where('comparison_id', $of->comparison_id)
            ->where('topic', 'writing by hand')
            ->orderBy('keyword')
            ->pluck('keyword')
            ->all();
        $joined = DB::table('comparison_rows')
            ->where('study_id', $study->id)
            ->where('comparison_id', $study->refresh()->comparison_id)
            ->whereIn('topic', \array_slice($topics, 0, 2))
            ->orderBy('keyword')
            ->pluck('keyword')
            ->all();
        self::assertGreaterThan(2, \count($joined));
        $changes = [];
        foreach (\array_slice($topics, 0, 2) as $topic) {
            $changes[] = $this->postJson("/api/v1/studies/{$study->slug}/decisions", [
                'show' => 'topic='.$topic,
                'topic' => ' Writing by Hand ',
            ])
                ->assertOk()
                ->json('change');
        }
        self::assertSame($joined, $named($study->refresh()), 'Two topics under one name are one.');
        $study->touchData();
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        self::assertSame($joined, $named($study->refresh()));
        [, $csv] = $this->command('reach:topics', ['slug' => $study->slug]);
        $exported = array_values(array_filter(self::readCsv($csv), static fn(array $row): bool => $row['topic'] === 'writing by hand'));
        self::assertSame(['primary' => 1, 'secondary' => \count($joined) - 1], array_count_values(array_column($exported, 'role')));
        self::assertSame(
            (string) max([0, ...array_map(intval(...), array_column($exported, 'volume'))]),
            $exported[0]['volume'],
            'The most searched one is primary where the name is no keyword.',
        );
        foreach ($changes as $change) {
            $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $change])->assertOk();
        }
        self::assertSame([], $named($study->refresh()));
    }

    public function test_a_pin_stands_above_the_order_and_a_difficulty_of_ones_own_moves_chance_and_horizon(): void
    {
        [$study, $rows] = $this->weighed();
        $first = $this->firstTwenty($study);
        $pinned = $first[15];
        $change = $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => [$pinned], 'pinned' => true])
            ->assertOk()
            ->json('change');
        self::assertSame($pinned, $this->firstTwenty($study)[0]);
        [, $csv] = $this->command('reach:weigh', ['slug' => $study->slug]);
        self::assertSame(
            \array_slice($first, 0, 3),
            \array_slice(array_column(self::readCsv($csv), 'keyword'), 0, 3),
            'The export keeps the order of the rules.',
        );
        $this->postJson("/api/v1/studies/{$study->slug}/decisions/undo", ['change' => $change])->assertOk();
        self::assertSame($first, $this->firstTwenty($study));

        $row = $rows->whereNull('own_position')->where('difficulty', '>', 50)->where('volume', '>', 100)->firstOrFail();
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => [$row->keyword], 'difficulty' => 1])->assertOk();
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $now = DB::table('comparison_rows')
            ->where('study_id', $study->id)
            ->where('comparison_id', $study->refresh()->comparison_id)
            ->where('keyword', $row->keyword)
            ->first();
        self::assertNotNull($now);
        self::assertSame([1.0, 5.0], [(float) $now->difficulty, (float) $now->score_ease]);
        self::assertGreaterThan($row->win_chance, $now->win_chance);
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", [
            'keywords' => [$row->keyword],
            'difficulty' => 101,
        ])->assertUnprocessable();
    }

    /** @return list<string> */
    private function firstTwenty(Study $study): array
    {
        return array_column($this->getJson("/api/v1/studies/{$study->slug}/opportunities?limit=20")->assertOk()->json('rows'), 'keyword');
    }

    /** @return array{Study, Collection<int, \stdClass>, Comparison} */
    private function weighed(): array
    {
        $random = new Randomizer(new Mt19937(23));
        $study = $this->makeStudy();
        foreach (['quillfair.example', 'nibhouse.example', 'inkmoor.example'] as $domain) {
            $lines = ['keyword,position,url,volume,difficulty,cpc'];
            for ($number = 0; $number < 120; ++$number) {
                if ($random->getInt(0, 2) > 0) {
                    $lines[] = implode(',', [
                        "pen word{$number}",
                        $random->getInt(1, 8 + (($number * 7) % 90)),
                        "https://{$domain}/p".intdiv($number, 5),
                        10 * ($number % 40),
                        ($number * 7) % 90,
                        ($number % 30) / 10,
                    ]);
                }
            }
            $this->import($study, implode("\n", $lines)."\n", options: ['--domain' => $domain, '--date' => '2026-11-01']);
        }
        $comparison = app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));

        return [
            $study,
            DB::table('comparison_rows')
                ->where('study_id', $study->id)
                ->where('comparison_id', $comparison->id)
                ->where('is_listed', true)
                ->get(),
            $comparison,
        ];
    }
}
