<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Study;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Priority\Criterion;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class ApiTest extends TestCase
{
    private function compared(): Study
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position,volume,difficulty\nfountain pen,12,1000,20\nink bottle,8,400,\nink bottles blue,40,90,15\n",
            options: ['--domain' => 'quillfair.example'],
        );
        $this->import(
            $study,
            "keyword,position,volume,difficulty\nfountain pen,3,1000,20\nblotting paper,5,250,60\nink moor pens,1,300,5\n",
            options: ['--domain' => 'inkmoor.example'],
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study));

        return $study->refresh();
    }

    public function test_nothing_is_told_to_who_is_not_signed_in(): void
    {
        $study = $this->compared();
        foreach (
            [
                'studies',
                "studies/{$study->slug}",
                "studies/{$study->slug}/bench",
                "studies/{$study->slug}/exports/compare.csv",
                'openapi.json',
                'nowhere',
            ] as $path
        ) {
            $this->getJson('/api/v1/'.$path)
                ->assertStatus(401)
                ->assertHeader('Content-Type', 'application/problem+json');
        }
    }

    public function test_signing_in_needs_the_right_password_and_is_throttled(): void
    {
        $user = $this->makeUser();
        for ($attempt = 0; $attempt < 5; ++$attempt) {
            $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'wrong'])->assertStatus(422);
        }
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'correct horse'])
            ->assertStatus(429)
            ->assertJsonPath('title', 'Too many attempts');
        $other = $this->makeUser();
        $this->postJson('/api/v1/session', ['email' => strtoupper($other->email), 'password' => 'correct horse'])
            ->assertOk()
            ->assertJsonPath('person.email', $other->email);
        $this->assertAuthenticatedAs($other);
    }

    public function test_a_stranger_sees_no_study_and_a_reader_changes_none(): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeUser())
            ->getJson("/api/v1/studies/{$study->slug}")
            ->assertNotFound();
        $this->actingAs($this->makeUser())
            ->getJson('/api/v1/studies')
            ->assertOk()
            ->assertExactJson(['studies' => [], 'next' => null]);
        $reader = $this->makeEditor($study, 'reader');
        $this->actingAs($reader)
            ->getJson("/api/v1/studies/{$study->slug}")
            ->assertOk()
            ->assertJsonPath('may_edit', false);
        $this->actingAs($reader)
            ->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['pen'], 'mark' => 'shortlisted'])
            ->assertStatus(403);
        $this->actingAs($reader)
            ->patchJson("/api/v1/studies/{$study->slug}", ['name' => 'Mine'])
            ->assertStatus(403);
        $this->actingAs($this->makeUser(true))
            ->patchJson("/api/v1/studies/{$study->slug}", ['name' => 'Ours'])
            ->assertOk()
            ->assertJsonPath('name', 'Ours');
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function sentences(): iterable
    {
        yield 'everything' => ['', ['fountain pen', 'ink bottle', 'ink moor pens', 'blotting paper', 'ink bottles blue']];
        yield 'a standing' => ['standing=gap', ['ink moor pens', 'blotting paper']];
        yield 'without brands' => ['standing=gap;brands=hide', ['blotting paper']];
        yield 'brands only' => ['brands=only', ['ink moor pens']];
        yield 'how many competitors in the top 3' => ['competitors>=1@10;own<=20', ['fountain pen']];
        yield 'no competitor' => ['competitors=0', ['ink bottle', 'ink bottles blue']];
        yield 'our position' => ['own>=6;own<=20', ['fountain pen', 'ink bottle']];
        yield 'absent' => ['own=absent', ['ink moor pens', 'blotting paper']];
        yield 'a competitor\'s position' => ['p1<=3', ['fountain pen', 'ink moor pens']];
        yield 'volume from' => ['volume>=300', ['fountain pen', 'ink bottle', 'ink moor pens']];
        yield 'difficulty up to leaves the unknown out' => ['difficulty<=20', ['fountain pen', 'ink moor pens', 'ink bottles blue']];
        yield 'words per keyword' => ['words>=3', ['ink moor pens', 'ink bottles blue']];
        yield 'a singular finds its plural' => ['text=bottle', ['ink bottle', 'ink bottles blue']];
        yield 'a word out' => ['text=ink -bottle', ['ink moor pens']];
        yield 'an exact combination' => ['combination=3', ['fountain pen']];
        yield 'a horizon' => ['horizon=quick win', ['fountain pen']];
        yield 'nobody decided' => ['mark=open;volume>=1000', ['fountain pen']];
    }

    /** @param list<string> $keywords */
    #[DataProvider('sentences')]
    public function test_the_sentence_narrows_bench_counts_and_export_alike(string $sentence, array $keywords): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study));
        $query = '?'.http_build_query(['show' => $sentence]);
        $bench = $this->getJson("/api/v1/studies/{$study->slug}/bench{$query}")->assertOk();
        self::assertSame($keywords, array_column($bench->json('rows'), 'keyword'));
        $this->getJson("/api/v1/studies/{$study->slug}/bench/summary{$query}")
            ->assertOk()
            ->assertJsonPath('keywords', \count($keywords));
        $exported = array_column(
            self::readCsv($this->get("/api/v1/studies/{$study->slug}/exports/compare.csv{$query}")->streamedContent()),
            'keyword',
        );
        sort($keywords);
        self::assertSame($keywords, $exported);
    }

    public function test_a_comparison_made_before_the_counts_were_kept_gets_them(): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study));
        $ask = fn(string $show): array => array_column(
            $this->getJson("/api/v1/studies/{$study->slug}/bench?".http_build_query(['show' => $show]))->json('rows'),
            'keyword',
        );
        $sentences = ['competitors>=1@10', 'competitors=0@20', 'competitors<=1@50', 'competitors>=2'];
        $kept = array_map($ask, $sentences);
        $migration = require base_path('database/migrations/2026_11_24_000018_count_competitors_everywhere.php');
        $migration->down();
        DB::table('comparison_rows')
            ->where('study_id', $study->id)
            ->update(['competitors_in_10' => null, 'competitors_in_20' => null, 'competitors_in_50' => null]);
        self::assertNotSame($kept, array_map($ask, $sentences));
        $migration->up();
        // As a release that begins to run does: what was remembered is told by it no longer.
        Cache::flush();
        self::assertSame($kept, array_map($ask, $sentences));
    }

    public function test_a_sum_of_noughts_is_known_and_a_sum_of_nothing_is_not(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import($study, "keyword,position,volume\npen,5,0\nink,7,\n", options: ['--domain' => 'quillfair.example']);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));
        $sums = fn(string $show): array => array_intersect_key(
            $this->getJson("/api/v1/studies/{$study->slug}/bench/summary?show=".urlencode($show))
                ->assertOk()
                ->json(),
            ['volume' => 0, 'gain' => 0],
        );
        self::assertEquals(['volume' => 0, 'gain' => 0], $sums('text=pen'));
        self::assertNotNull($sums('text=pen')['volume']);
        self::assertSame(['volume' => null, 'gain' => null], $sums('text=ink'));
    }

    /** Each picture leaves its own clause out; held to a plain count over the rows. */
    #[DataProvider('narrowings')]
    public function test_the_counts_beside_the_bench_leave_their_own_clause_out(string $standing, string $combination, string $rest): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study));
        $rows = fn(string ...$clauses): Collection => new Collection(
            $this->getJson(
                "/api/v1/studies/{$study->slug}/bench?".
                    http_build_query(['show' => implode(';', array_filter($clauses)), 'limit' => 300]),
            )
                ->assertOk()
                ->json('rows'),
        );
        $counts = $this->getJson(
            "/api/v1/studies/{$study->slug}/bench/summary?".
                http_build_query(['show' => implode(';', array_filter([$standing, $combination, 'brands=hide', $rest]))]),
        )->assertOk();
        $shown = $rows($standing, $combination, 'brands=hide', $rest);
        self::assertSame(
            [$shown->count(), $rows($standing, $combination, $rest)->count() - $shown->count()],
            [$counts->json('keywords'), $counts->json('hidden_brands')],
        );
        self::assertEqualsCanonicalizing($rows($combination, 'brands=hide', $rest)->countBy('standing')->all(), $counts->json('standings'));
        self::assertSame((int) $shown->sum('volume'), (int) $counts->json('volume'));
        self::assertEqualsWithDelta($shown->sum('gain'), (float) $counts->json('gain'), 1e-9);
        $present = $rows($standing, 'brands=hide', $rest)->countBy(
            static fn(array $row): int => array_sum(
                array_map(static fn(int $domain): int => 1 << $domain, array_keys(array_filter(array_values($row['positions'])))),
            ),
        );
        self::assertEqualsCanonicalizing(
            $present
                ->except([0])
                ->map(static fn(int $keywords, int $mask): array => ['combination' => $mask, 'keywords' => $keywords])
                ->values()
                ->all(),
            $counts->json('overlap'),
        );
    }

    /** @return iterable<string, array{string, string, string}> standing, combination, the rest */
    public static function narrowings(): iterable
    {
        yield 'all' => ['', '', ''];
        yield 'a standing' => ['standing=gap', '', ''];
        yield 'a combination' => ['', 'combination=3', ''];
        yield 'all three beside others' => ['standing=behind,ahead', 'combination=1,3', 'volume>=100'];
    }

    /** @return iterable<string, array{string, string}> */
    public static function badRequests(): iterable
    {
        yield 'a clause about nothing' => ['bench?show=luck%3D1', 'luck=1'];
        yield 'no clause at all' => ['bench?show=volume', 'volume'];
        yield 'a number that is none' => ['bench?show=volume%3E%3Dmuch', 'volume>=much'];
        yield 'a standing that is none' => ['bench?show=standing%3Dgood', 'standing=good'];
        yield 'a competitor that is not there' => ['bench?show=p9%3C%3D3', 'p9<=3'];
        yield 'a sort that is none' => ['bench?sort=luck', 'Sort by one of'];
        yield 'a distribution that is none' => ['bench/distribution?field=luck', 'Distributions exist for'];
        yield 'weights that are none' => ['opportunities?weights=luck%3A1', 'luck'];
    }

    #[DataProvider('badRequests')]
    public function test_a_bad_request_gets_problem_details_that_name_the_place(string $path, string $says): void
    {
        $study = $this->compared();
        $answer = $this->actingAs($this->makeEditor($study))->getJson("/api/v1/studies/{$study->slug}/{$path}");
        $answer->assertStatus(422)->assertHeader('Content-Type', 'application/problem+json');
        self::assertStringContainsString($says, (string) $answer->json('detail'));
    }

    /** @return iterable<string, array{string}> */
    public static function forged(): iterable
    {
        $cursor = static fn(string $json): string => rawurlencode(base64_encode($json));
        yield 'a cursor of one\'s own' => ['bench?cursor=xyz'];
        yield 'a text for a number' => ['bench?cursor='.$cursor('["a","b"]')];
        yield 'a number beyond all' => ['bench?cursor='.$cursor('[1e300,"b"]')];
        yield 'that of another order' => ['bench?sort=standing&cursor='.$cursor('["x","b"]')];
        yield 'a task' => ['tasks/99999999999999999999'];
        yield 'an item of the roadmap' => ['plan/items/9223372036854775808/brief'];
    }

    #[DataProvider('forged')]
    public function test_what_no_list_gave_and_no_record_has_is_told_to_be_wrong(string $path): void
    {
        $study = $this->compared();
        $answer = $this->actingAs($this->makeEditor($study))->getJson("/api/v1/studies/{$study->slug}/{$path}");
        $answer->assertStatus(400)->assertHeader('Content-Type', 'application/problem+json');
    }

    public function test_a_lens_that_narrows_nothing_can_be_saved(): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study))->postJson("/api/v1/studies/{$study->slug}/lenses", ['name' => 'All', 'show' => ''])
            ->assertCreated()->assertJson(['name' => 'All', 'show' => '']);
    }

    public function test_pages_of_the_bench_follow_each_other_without_loss_even_over_unknown_values(): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study));
        $columns = array_filter(array_column($this->getJson('/api/v1/vocabulary')->json('columns'), 'order'));
        self::assertContains('standing', $columns);
        foreach ([...$columns, 'p1', 'p2', 'share', 'tags', 'mark', 'fit', 'reason', 'note'] as $sort) {
            foreach (['asc', 'desc'] as $dir) {
                $whole = array_column(
                    $this->getJson("/api/v1/studies/{$study->slug}/bench?sort={$sort}&dir={$dir}")->json('rows'),
                    'keyword',
                );
                $pieces = [];
                $cursor = null;
                do {
                    $page = $this->getJson(
                        "/api/v1/studies/{$study->slug}/bench?".
                            http_build_query(['sort' => $sort, 'dir' => $dir, 'limit' => 2, 'cursor' => $cursor]),
                    )->assertOk();
                    $pieces = [...$pieces, ...array_column($page->json('rows'), 'keyword')];
                    $cursor = $page->json('next');
                } while ($cursor !== null);
                self::assertSame($whole, $pieces, $sort.' '.$dir);
                self::assertCount(5, array_unique($pieces));
            }
        }
    }

    public function test_opportunities_show_the_parts_of_their_priority(): void
    {
        $study = $this->compared();
        $list = $this->actingAs($this->makeEditor($study))
            ->getJson("/api/v1/studies/{$study->slug}/opportunities?weights=ease:1")
            ->assertOk();
        self::assertSame(
            ['ink bottles blue', 'fountain pen', 'blotting paper', 'ink bottle'],
            array_column($list->json('rows'), 'keyword'),
        );
        self::assertSame(Criterion::names(), array_keys($list->json('rows.1.scores')));
        self::assertEquals(
            ['ease' => 4, 'value' => null, 'intent' => 2, 'fit' => null],
            array_intersect_key($list->json('rows.1.scores'), array_flip(['ease', 'value', 'intent', 'fit'])),
        );
        self::assertEquals(4, $list->json('rows.1.priority'));
    }

    public function test_a_mark_is_kept_can_be_undone_and_survives_new_data(): void
    {
        $study = $this->compared();
        $this->actingAs($this->makeEditor($study));
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", [
            'keywords' => ['Blotting  Paper'],
            'mark' => 'set aside',
            'reason' => 'another meaning',
        ])
            ->assertOk()
            ->assertJsonPath('before.0.mark', null);
        $this->import($study, "keyword,position\nblotting paper,4\n", options: ['--domain' => 'nibhouse.example']);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->getJson("/api/v1/studies/{$study->slug}/keyword?keyword=blotting%20paper")
            ->assertOk()
            ->assertJsonPath('mark', 'set aside')
            ->assertJsonPath('reason', 'another meaning')
            ->assertJsonPath('competitors_ranking', 2);
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['blotting paper'], 'mark' => null])
            ->assertOk()
            ->assertJsonPath('before.0.reason', 'another meaning');
        $this->assertDatabaseHas('changes', ['study_id' => $study->id, 'what' => 'decision']);
    }

    public function test_the_dossier_says_why_each_figure_is_what_it_is(): void
    {
        $study = $this->compared();
        $this->import($study, "domain,authority\nquillfair.example,53\ninkmoor.example,50\n", 'domains');
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $dossier = $this->actingAs($this->makeEditor($study))
            ->getJson("/api/v1/studies/{$study->slug}/keyword?keyword=fountain%20pen")
            ->assertOk();
        self::assertStringEndsWith(
            'a gain of '.Explanation::number($dossier->json('gain')).'.',
            (string) $dossier->json('why.gain.steps.2'),
        );
        self::assertStringContainsString(
            'when they are worked on: '.Explanation::percent($dossier->json('win_chance')).'.',
            (string) $dossier->json('why.win_chance.steps.3'),
        );
        self::assertEqualsWithDelta(1.0, array_sum(array_column($dossier->json('places.classes'), 'chance')), 1e-9);
        self::assertSame(1, array_sum(array_map(intval(...), array_column($dossier->json('places.classes'), 'holds_us'))));
        self::assertEqualsWithDelta($dossier->json('win_chance'), $dossier->json('places.targets.2.win_chance'), 1e-12);
        self::assertIsString($dossier->json('why.priority.steps.0'));
        self::assertStringContainsString('rankings of', (string) $dossier->json('why.gain.inputs.0.source'));
        self::assertSame('1 of 1 competitors of comparable authority (53 ± 5) are in the top 10.', $dossier->json('evidence.0.sentence'));
    }

    public function test_a_download_guards_cells_that_a_spreadsheet_would_run_unless_told_not_to(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\n=1+1,3\n+pen,4\n", options: ['--domain' => 'quillfair.example']);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study));
        $this->actingAs($this->makeEditor($study));
        $read = fn(string $query): array => array_column(
            self::readCsv($this->get("/api/v1/studies/{$study->slug}/exports/compare.csv{$query}")->streamedContent()),
            'keyword',
        );
        self::assertSame(["'+pen", "'=1+1"], $read(''));
        self::assertSame(['+pen', '=1+1'], $read('?guard=0'));
    }

    public function test_pages_come_with_headers_that_let_nothing_in(): void
    {
        $headers = $this->get('/sign-in')->assertOk()->headers;
        self::assertStringContainsString("default-src 'self'", (string) $headers->get('Content-Security-Policy'));
        self::assertStringNotContainsString('unsafe-eval', (string) $headers->get('Content-Security-Policy'));
        self::assertSame('nosniff', $headers->get('X-Content-Type-Options'));
    }

    public function test_the_api_describes_every_route_it_has(): void
    {
        $document = $this->actingAs($this->makeUser())->getJson('/api/v1/openapi.json')->assertOk()->json();
        self::assertSame('3.1.0', $document['openapi']);
        foreach (app('router')->getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/') && ! str_contains($route->uri(), 'fallback')) {
                $path = '/'.str_replace(['api/v1/', '{study}', '{study:slug}'], ['', '{slug}', '{slug}'], $route->uri());
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    self::assertArrayHasKey(strtolower($method), $document['paths'][rtrim($path, '/')] ?? [], $method.' '.$path);
                }
            }
        }
    }
}
