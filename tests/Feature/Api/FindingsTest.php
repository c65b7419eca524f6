<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Findings\FindingsQuery;
use App\Actions\Plans\ClickSharesQuery;
use App\Jobs\RefreshComparison;
use App\Models\Study;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** Findings in a small study, counted by hand, and each finding leads to just the rows it counts. */
final class FindingsTest extends TestCase
{
    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_every_finding_leads_to_just_the_rows_it_counts(): void
    {
        Carbon::setTestNow('2026-11-20');
        $study = $this->compared();
        $findings = array_column($this->findings($study), null, 'code');
        // Gaps: best pen, pen case and wax; quillfair.example slipped for big pen; two pages of ours stand for blue ink.
        self::assertSame(3, $findings['gap']['numbers']['keywords']);
        self::assertSame(1, $findings['slipped']['numbers']['keywords']);
        self::assertSame(1, $findings['conflicts']['numbers']['keywords']);
        self::assertSame('inkmoor.example', strtok($findings['weaker']['words'], ' '));
        self::assertSame(2, $findings['weaker']['numbers']['keywords']);
        self::assertSame(30, $findings['weaker']['numbers']['own_authority']);
        self::assertSame('nibhouse.example', strtok($findings['too_large']['words'], ' '));
        self::assertCount(8, $findings);
        self::assertArrayNotHasKey('stale', $findings);
        $shown = array_filter($findings, static fn(array $one): bool => $one['show'] !== null);
        self::assertGreaterThanOrEqual(4, \count($shown));
        foreach ($shown as $code => $finding) {
            [$path, $total] = $finding['stage'] === 'weigh' ? ['opportunities', 'total'] : ['bench/summary', 'keywords'];
            $rows = $this->getJson($this->at($study, $path.'?show='.urlencode($finding['show'])))->assertOk()->json($total);
            self::assertSame($finding['numbers']['keywords'], $rows, $code);
        }
        $worths = array_filter(
            array_column($findings, 'worth', 'code'),
            static fn(mixed $worth, string $code): bool => $worth !== null && $code !== 'share',
            ARRAY_FILTER_USE_BOTH,
        );
        $sorted = $worths;
        arsort($sorted);
        self::assertSame($sorted, $worths);
    }

    public function test_a_decision_changes_what_is_found_at_once_and_the_command_tells_the_same(): void
    {
        $study = $this->compared();
        $this->postJson($this->at($study, 'decisions'), ['keywords' => ['wax'], 'mark' => 'set aside'])->assertOk();
        $findings = array_column($this->findings($study), null, 'code');
        self::assertSame(2, $findings['gap']['numbers']['keywords']);
        [$code, $printed] = $this->command('reach:findings', ['slug' => $study->slug]);
        self::assertSame(0, $code);
        self::assertSame(array_column($this->findings($study), 'words'), array_column(self::readCsv($printed), 'finding'));
    }

    public function test_a_study_without_anything_says_what_is_missing(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->actingAs($this->makeEditor($study));
        self::assertSame(['no_comparison'], array_column($this->findings($study), 'code'));
        Carbon::setTestNow('2026-11-20');
        $this->import($study, "keyword,position\nbig pen,3\n", options: ['--domain' => 'inkmoor.example', '--date' => '2026-01-01']);
        $this->command('reach:compare', ['slug' => $study->slug]);
        $findings = array_column($this->findings($study->refresh()), null, 'code');
        self::assertSame('The volume of all 1 keyword is unknown.', $findings['no_volumes']['words']);
        foreach (['no_difficulties', 'no_urls', 'no_clicks', 'stale', 'gap'] as $code) {
            self::assertArrayHasKey($code, $findings);
        }
        self::assertStringContainsString('inkmoor.example', $findings['stale']['words']);
    }

    public function test_a_study_of_one_list_says_unknown_and_what_more_it_would_tell(): void
    {
        $study = $this->makeStudy([]);
        $this->actingAs($this->makeEditor($study));
        $this->import($study, "keyword,position\nbig pen,3\nblue ink,40\n", options: ['--domain' => 'quillfair.example']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $findings = array_column($this->findings($study->refresh()), null, 'code');
        self::assertSame(['no_competitors', 'no_volumes', 'no_difficulties'], \array_slice(array_keys($findings), 0, 3));
        $shown = $this->getJson("/api/v1/studies/{$study->slug}")->assertOk();
        $shown->assertJsonPath('stages.weigh.quick_wins', null)->assertJsonPath('finding.code', 'no_competitors');
        $rows = $this->getJson($this->at($study, 'opportunities'))->assertOk()->json('rows');
        self::assertSame(['big pen', 'blue ink'], array_column($rows, 'keyword'));
        foreach (['volume', 'difficulty', 'visits_now', 'gain', 'win_chance', 'expected_gain', 'worth'] as $unknown) {
            self::assertSame([null, null], array_column($rows, $unknown), $unknown);
        }
    }

    public function test_lists_without_difficulties_rank_by_what_is_known(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->actingAs($this->makeEditor($study));
        $this->import($study, "keyword,position,volume\nbig pen,30,10\n", options: ['--domain' => 'quillfair.example']);
        $this->import($study, "keyword,position,volume\nbest pen,5,900\nbig pen,2,10\n", options: ['--domain' => 'inkmoor.example']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $findings = array_column($this->findings($study->refresh()), null, 'code');
        self::assertNull($findings['gap']['worth']);
        self::assertStringEndsWith('What they would bring is unknown. Most valuable: best pen.', $findings['gap']['words']);
        $rows = $this->getJson($this->at($study, 'opportunities'))->assertOk()->json('rows');
        self::assertSame(['best pen', 'big pen'], array_column($rows, 'keyword'), 'By the gain, which volumes tell.');
        self::assertSame([null, null], array_column($rows, 'win_chance'));
    }

    public function test_what_stands_out_most_is_told_in_the_list_of_studies(): void
    {
        $study = $this->compared();
        $told = fn(): ?array => $this->getJson("/api/v1/studies/{$study->slug}")->assertOk()->json('finding');
        self::assertNull($told(), 'Nobody has asked yet.');
        $first = array_values(array_filter($this->findings($study), static fn(array $one): bool => $one['code'] !== 'share'))[0];
        self::assertEquals($first, $told());
        (new RefreshComparison($study->id))->handle(app(EnsureComparison::class), app(ClickSharesQuery::class), app(FindingsQuery::class));
        self::assertEquals($first, $told());
    }

    /** @return list<array<string, mixed>> */
    private function findings(Study $study): array
    {
        return $this->getJson($this->at($study, 'findings'))->assertOk()->json('findings');
    }

    private function compared(): Study
    {
        $study = $this->makeStudy(['inkmoor.example', 'nibhouse.example']);
        $this->import(
            $study,
            "domain,authority\nquillfair.example,30\ninkmoor.example,12\nnibhouse.example,80\n",
            'domains',
        );
        $lists = [
            ['quillfair.example', '2026-10-01', "big pen,4,https://quillfair.example/pen\nblue ink,9,https://quillfair.example/ink\n"],
            ['quillfair.example', '2026-11-01', "big pen,9,https://quillfair.example/pen\nblue ink,8,https://quillfair.example/ink\n"
                ."blue ink,12,https://quillfair.example/blue\nquill,1,https://quillfair.example/quill\n"],
            ['inkmoor.example', '2026-11-01', "best pen,5,https://inkmoor.example/best\npen case,18,https://inkmoor.example/case\n"
                ."wax,25,https://inkmoor.example/wax\n"],
            ['nibhouse.example', '2026-11-01', "big pen,1,https://nibhouse.example/pen\nbest pen,2,https://nibhouse.example/best\n"],
        ];
        foreach ($lists as [$domain, $day, $rows]) {
            $this->import($study, "keyword,position,url\n".$rows, options: ['--domain' => $domain, '--date' => $day]);
        }
        $this->import(
            $study,
            "keyword,volume,difficulty\nbig pen,2000,20\nbest pen,900,15\nblue ink,700,18\npen case,300,9\nquill,100,5\n",
            'keywords',
        );
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));

        return $study->refresh()->load('domains');
    }

    private function at(Study $study, string $path): string
    {
        return "/api/v1/studies/{$study->slug}/{$path}";
    }
}
