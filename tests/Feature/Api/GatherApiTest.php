<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Domain;
use App\Models\Study;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Pulls\StandIn;
use Tests\TestCase;

/** What Gather offers beside files, over the real stand-in. */
final class GatherApiTest extends TestCase
{
    private StandIn $standIn;

    protected function setUp(): void
    {
        parent::setUp();
        $this->standIn = StandIn::start();
        $this->standIn->connect();
    }

    protected function tearDown(): void
    {
        $this->standIn->stop();
        parent::tearDown();
    }

    public function test_a_pasted_list_gets_its_figures_from_the_source_and_joins_the_universe(): void
    {
        $study = $this->apiary();
        $this->postJson($this->at($study, 'keywords'), [
            'keywords' => "Bee Smoker\n\nhive tool\nsomething nobody knows",
            'source' => 'stand-in',
        ])
            ->assertStatus(201)
            ->assertJsonPath('kept', 3);
        $volumes = DB::table('metrics')->where('study_id', $study->id)->orderBy('keyword')->pluck('volume', 'keyword')->all();
        self::assertSame(['bee smoker', 'hive tool', 'something nobody knows'], array_keys($volumes));
        self::assertGreaterThan(0, $volumes['bee smoker']);
        self::assertNull($volumes['something nobody knows']);
        self::assertSame('pasted list', $study->imports()->value('file_name'));
        self::assertSame(3, $study->refresh()->comparison?->keywords());
    }

    public function test_a_bad_line_of_a_pasted_list_is_named_and_nothing_is_kept(): void
    {
        $study = $this->apiary();
        $this->postJson($this->at($study, 'keywords'), ['keywords' => "pen\n".str_repeat('x', 401)])
            ->assertStatus(422)
            ->assertJsonPath('errors.keywords.0', fn(string $told): bool => str_starts_with($told, 'Line 2:'));
        $this->postJson($this->at($study, 'keywords'), ['keywords' => "\n \n"])->assertStatus(422);
        self::assertSame(0, $study->imports()->count());
    }

    public function test_terms_come_from_a_text_or_from_a_page_of_the_source_and_never_from_inside(): void
    {
        $study = $this->apiary();
        $text = 'The bee smoker is lit. A bee smoker needs fuel; the smoker fuel burns. The fuel lasts.';
        $found = array_column(
            $this->postJson($this->at($study, 'terms'), ['text' => $text, 'to_words' => 2])
                ->assertOk()
                ->json(),
            'occurrences',
            'term',
        );
        self::assertSame([3, 3, 2], [$found['smoker'], $found['fuel'], $found['bee smoker']]);
        self::assertArrayNotHasKey('the', $found);
        $page = $this->postJson($this->at($study, 'terms'), [
            'url' => 'https://hivewright.example/smokers/bee-smoker',
            'source' => 'stand-in',
        ])
            ->assertOk()
            ->json();
        self::assertContains('bee smoker', array_column($page, 'term'));
        self::assertNotContains('basket', array_column($page, 'term'));
        $this->postJson($this->at($study, 'terms'), ['url' => 'http://169.254.169.254/', 'source' => 'stand-in'])->assertStatus(422);
        $this->postJson($this->at($study, 'terms'), [
            'url' => 'https://hivewright.example/nothing-here',
            'source' => 'stand-in',
        ])->assertStatus(422);
    }

    public function test_related_keywords_mark_the_questions(): void
    {
        $related = $this->getJson($this->at($this->apiary(), 'related?keyword=bee+smoker&source=stand-in'))->assertOk()->json();
        $questions = array_column(array_filter($related, static fn(array $row): bool => $row['is_question']), 'keyword');
        self::assertNotSame([], $questions);
        foreach ($questions as $question) {
            self::assertMatchesRegularExpression('/^(how|what|why|when|which|who|where) /', $question);
        }
    }

    public function test_competitors_are_found_by_the_source_by_theirs_and_on_page_one(): void
    {
        $study = $this->apiary();
        $this->import(
            $study,
            "keyword,position,url\nbee smoker,1,https://www.meadowcomb.example/a\nbee smoker,2,https://hedge.example/b\nbee "
                ."smoker,3,https://shop.hedge.example/c\n",
            'results',
        );
        $this->import($study, "keyword,position\nbee smoker,9\n", options: ['--domain' => 'thornfield-apiary.example']);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $byName = fn(string $query): array => array_column(
            $this->getJson($this->at($study, 'candidates?'.$query))->assertOk()->json(),
            null,
            'domain',
        );
        self::assertSame(['hedge.example', 'meadowcomb.example'], array_keys($byName('')));
        self::assertSame(1, $byName('')['hedge.example']['in_common']);
        $found = $byName('source=stand-in&further=1');
        self::assertSame('competitor', $found['hivewright.example']['role']);
        self::assertSame(['page one', 'stand-in', 'stand-in, by hivewright.example'], $found['meadowcomb.example']['found']);
        self::assertGreaterThan(1, $found['meadowcomb.example']['in_common'], 'What the source counts for us is more than one page.');
        self::assertArrayNotHasKey('thornfield-apiary.example', $found);
        self::assertSame(['hedge.example', 'meadowcomb.example'], array_keys($byName('keywords=bee+smoker')));
    }

    public function test_many_domains_are_pasted_at_once_and_thrown_away_again(): void
    {
        $study = $this->apiary();
        $this->postJson($this->at($study, 'domains'), [
            'domains' => "meadowcomb.example\nHTTPS://first-swarm.example/\nhivewright.example\nunknown-to-all.example",
            'source' => 'stand-in',
        ])
            ->assertStatus(201)
            ->assertJsonPath('added', 3);
        $ledger = array_column($this->getJson($this->at($study, 'domains'))->json(), null, 'entry');
        self::assertEquals(36, $ledger['meadowcomb.example']['authority']);
        self::assertNull($ledger['unknown-to-all.example']['authority']);
        $this->postJson($this->at($study, 'domains'), ['domains' => "fine.example\nnot a domain"])
            ->assertStatus(422)
            ->assertJsonPath('errors.domains.0', fn(string $told): bool => str_starts_with($told, 'Line 2:'));
        $this->deleteJson($this->at($study, 'domains/'.$ledger['meadowcomb.example']['id']))->assertOk();
        $this->deleteJson($this->at($study, 'domains/'.$ledger['hivewright.example']['id']))->assertStatus(422);
        self::assertNull(Domain::query()->find($ledger['meadowcomb.example']['id']));
    }

    public function test_the_study_can_be_turned_round_with_nothing_retyped(): void
    {
        $study = $this->apiary();
        $this->import($study, "keyword,position\nbee smoker,9\nveil,3\n", options: ['--domain' => 'thornfield-apiary.example']);
        $this->import($study, "keyword,position\nbee smoker,2\n", options: ['--domain' => 'hivewright.example']);
        $this->patchJson($this->at($study, ''), ['domain' => 'hivewright.example', 'competitors' => ['thornfield-apiary.example']])
            ->assertOk()
            ->assertJsonPath('domain', 'hivewright.example');
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $rows = $this->getJson($this->at($study, 'bench?sort=keyword&dir=asc'))->json('rows');
        self::assertSame(['ahead', 'gap'], array_column($rows, 'standing'));
    }

    public function test_our_clicks_by_position_stand_beside_the_curves(): void
    {
        $study = $this->apiary();
        $this->import(
            $study,
            "query,clicks,impressions,position\nbee veil,300,1000,1.2\nthornfield apiary,900,1000,1\nhive tool,40,1000,3.4\n",
            'performance',
        );
        $curve = $this->getJson($this->at($study, 'curve'))->assertOk()->json();
        self::assertSame(['position' => 1, 'clicks' => 300, 'impressions' => 1000, 'rate' => 0.3], $curve['bins'][0]);
        self::assertSame(['default', '2006', 'fitted'], array_map(strval(...), array_keys($curve['curves'])));
        self::assertEqualsWithDelta((300 + 500 * 0.325) / 1500, $curve['curves']['fitted'][0], 1e-12);
    }

    public function test_brand_terms_are_what_the_ledger_was_told(): void
    {
        $study = $this->apiary();
        $domain = $study->load('domains')->ownDomain()->id;
        $this->patchJson($this->at($study, "domains/{$domain}"), ['brand_terms' => ['Thornfield', 'apiary of the thorns']])
            ->assertOk()
            ->assertJsonPath('brand_terms', ['thornfield', 'apiary of the thorns']);
        self::assertSame(['thornfield', 'apiary of the thorns'], $this->getJson($this->at($study, 'domains'))->json('0.brand_terms'));
        $this->patchJson($this->at($study, "domains/{$domain}"), ['brand_terms' => 'thornfield'])
            ->assertStatus(422)
            ->assertJsonPath('code', 'fields_not_right');
    }

    private function apiary(): Study
    {
        $study = $this->makeStudy(['hivewright.example'], 'thornfield-apiary.example');
        $this->actingAs($this->makeEditor($study));

        return $study;
    }

    private function at(Study $study, string $path): string
    {
        return rtrim("/api/v1/studies/{$study->slug}/{$path}", '/');
    }
}
