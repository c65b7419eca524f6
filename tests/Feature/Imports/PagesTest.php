<?php

declare(strict_types=1);

namespace Tests\Feature\Imports;

use App\Actions\Comparisons\KeywordStreams;
use App\Models\Study;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Our pages, the links between them and what their visitors bought, where the work on them is planned. */
final class PagesTest extends TestCase
{
    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $this->study,
            "keyword,position,url,volume,difficulty\n"
                ."fountain pen,12,https://quillfair.example/pens,1000,20\nfountain pen,30,https://quillfair.example/old-pens,1000,20\n"
                ."fountain pen ink,4,https://quillfair.example/ink,700,20\nfountain pen case,9,https://quillfair.example/cases,300,20\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $this->study,
            "keyword,position,url,volume,difficulty\nfountain pen,3,https://inkmoor.example/pens,1000,20\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->actingAs($this->makeEditor($this->study));
    }

    private function pages(string $rows, string $day = '2026-11-02'): string
    {
        return $this->import($this->study, "url,title,h1,words,status,indexable,referring_domains\n".$rows, 'pages', ['--date' => $day]);
    }

    public function test_pages_are_kept_and_taken_back_with_their_import(): void
    {
        $printed = $this->pages("https://quillfair.example/pens,Pens,All pens,820,200,yes,14\nhttps://quillfair.example/ink,,,,,,\n");
        self::assertStringContainsString('2 pages were kept.', $printed);
        $row = DB::table('pages')->where('study_id', $this->study->id)->where('url', 'https://quillfair.example/pens')->first();
        self::assertSame(['Pens', 'All pens', 820, 200, true, 14], [
            $row?->title, $row?->h1, $row?->words, $row?->status, $row?->is_indexable, $row?->referring_domains,
        ]);
        $import = DB::table('imports')->where('study_id', $this->study->id)->where('kind', 'pages')->value('id');
        $this->deleteJson("/api/v1/studies/{$this->study->slug}/imports/{$import}")->assertSuccessful();
        self::assertSame(0, DB::table('pages')->where('study_id', $this->study->id)->count());
    }

    public function test_a_status_that_is_none_is_a_bad_row(): void
    {
        $file = $this->makeFile("url,status\nhttps://quillfair.example/pens,20\n");
        [$code, $told] = $this->command('reach:import', ['slug' => $this->study->slug, 'file' => $file, '--kind' => 'pages']);
        self::assertSame(1, $code);
        self::assertStringContainsString('isn’t an HTTP status from 100 to 599', $told);
    }

    public function test_a_page_that_search_engines_do_not_show_is_named_until_a_newer_list_has_it_well(): void
    {
        $at = "/api/v1/studies/{$this->study->slug}/troubled-pages";
        self::assertSame([], $this->getJson($at)->assertOk()->json('pages'));
        $this->pages("https://quillfair.example/ink,,,,301,yes,\nhttps://quillfair.example/pens,,,,200,no,\n");
        self::assertSame(
            ['https://quillfair.example/ink' => 'redirects', 'https://quillfair.example/pens' => 'not_indexable'],
            array_column($this->getJson($at)->assertOk()->json('pages'), 'trouble', 'url'),
        );
        $this->pages("https://quillfair.example/ink,,,,200,yes,\n", '2026-11-09');
        self::assertSame(['https://quillfair.example/pens'], array_column($this->getJson($at)->assertOk()->json('pages'), 'url'));
    }

    public function test_referring_domains_of_a_page_count_as_links_had_and_the_newest_stands(): void
    {
        $this->import(
            $this->study,
            "keyword,position,url,referring_domains\nfountain pen,1,https://inkmoor.example/pens,40\n"
                ."fountain pen,2,https://quillfair.example/pens,9\n",
            'results',
            ['--date' => '2026-11-01'],
        );
        $links = fn(): array => (new KeywordStreams($this->study->id))->pageLinks();
        self::assertSame(9, $links()['https://quillfair.example/pens']);
        $this->pages("https://quillfair.example/pens,,,,,,14\nhttps://quillfair.example/ink,,,,,,2\n");
        self::assertSame([14, 2], [$links()['https://quillfair.example/pens'], $links()['https://quillfair.example/ink']]);
        $this->pages("https://quillfair.example/pens,,,,,,3\n", '2026-10-01');
        self::assertSame(14, $links()['https://quillfair.example/pens'], 'An older list changes nothing.');
    }

    public function test_a_brief_tells_what_our_page_says_who_should_link_to_it_and_what_to_change(): void
    {
        $this->pages("https://quillfair.example/pens,Pens we sell,All pens,820,200,no,\n");
        $this->import(
            $this->study,
            "source_url,target_url,anchor\nhttps://quillfair.example/cases,https://quillfair.example/pens,pens\n"
                ."https://quillfair.example/pens,https://quillfair.example/pens,itself\n",
            'page_links',
        );
        self::assertSame(1, DB::table('page_links')->where('study_id', $this->study->id)->count(), 'No page links to itself.');
        $brief = $this->brief('fountain pen');
        self::assertSame(['Pens we sell', 'All pens', 820], [
            $brief['work']['page_today']['title'], $brief['work']['page_today']['h1'], $brief['work']['page_today']['words'],
        ]);
        self::assertSame('Search engines may not index this page. Allow it first.', $brief['work']['page_today']['trouble']);
        self::assertSame(['https://quillfair.example/ink'], array_column($brief['work']['internal_links'], 'url'), 'Cases link already.');
        self::assertSame(['https://quillfair.example/old-pens'], $brief['work']['competing_pages']);
        self::assertSame('https://quillfair.example/pens', $brief['keywords'][0]['own_url']);
        self::assertSame(
            'Merge /old-pens into /pens and redirect it.',
            $brief['work']['change'],
        );
        $this->get($this->at('plan/items/'.$brief['item']['id'].'/brief.html'))->assertOk()
            ->assertSee('Our page today')->assertSee('Title: Pens we sell')->assertSee('Our pages that should link to it');
    }

    public function test_a_merge_on_the_roadmap_says_which_page_is_to_redirect_where(): void
    {
        self::assertSame("from,to,item\r\n", $this->get($this->at('exports/redirects.csv'))->assertOk()->streamedContent());
        $this->brief('fountain pen');
        self::assertSame(
            [['from' => 'https://quillfair.example/old-pens', 'to' => 'https://quillfair.example/pens', 'item' => 'fountain pen']],
            self::readCsv($this->get($this->at('exports/redirects.csv'))->assertOk()->streamedContent()),
        );
    }

    public function test_thirty_measured_conversions_stand_before_an_assumed_rate(): void
    {
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $gain = $this->money()['conversions'] / .02;
        $measured = "query,page,clicks,impressions,position,conversions,revenue\n";
        $this->import($this->study, $measured."fountain pen,https://quillfair.example/pens,400,4000,12,29,580\n", 'performance');
        self::assertEqualsWithDelta(.02 * $gain, $this->money()['conversions'], 1e-9, 'Too few to tell.');
        self::assertNull($this->money()['revenue']);
        $this->import($this->study, $measured."fountain pen,https://quillfair.example/pens,400,4000,12,40,800\n", 'performance');
        self::assertEqualsWithDelta(.1 * $gain, $this->money()['conversions'], 1e-9);
        self::assertEqualsWithDelta(2 * $gain, $this->money()['revenue'], 1e-9, '20 a conversion.');
        self::assertSame('measured on this page: 40 conversions', $this->keyword()['why']['conversions']['inputs'][1]['source']);
        $this->brief('fountain pen');
        self::assertArrayHasKey('measured_conversions', $this->getJson($this->at('plan'))->assertOk()->json());
    }

    /** @return array<string, ?float> */
    private function money(): array
    {
        return $this->keyword()['money'];
    }

    /** @return array<string, mixed> */
    private function keyword(): array
    {
        return $this->getJson($this->at('keyword?keyword=fountain%20pen'))->assertOk()->json();
    }

    /** @return array<string, mixed> */
    private function brief(string $keyword): array
    {
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->postJson($this->at('plan/items'), ['keywords' => [$keyword]])->assertCreated();
        $item = DB::table('plan_items')->where('study_id', $this->study->id)->value('id');

        return $this->getJson($this->at("plan/items/{$item}/brief"))->assertOk()->json();
    }

    private function at(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }
}
