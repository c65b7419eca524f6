<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Bench\BaseRateQuery;
use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Study;
use GreaterReach\Core\Clicks\CtrCurve;
use Tests\TestCase;

/** Visits count features of the results page and each domain's newest snapshot, wherever they are shown. */
final class VisitFiguresTest extends TestCase
{
    public function test_features_reduce_visits_in_the_ledger_the_shares_and_the_pages(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['feature_clicks=answer:.5']]);
        $this->rank($study, 'quillfair.example', '2026-11-01', "red pen,1,1000,answer,https://quillfair.example/pens\n");
        $this->rank($study, 'inkmoor.example', '2026-11-01', "ink,1,1000,,https://inkmoor.example/ink\n");
        $this->compare($study);
        $first = CtrCurve::default()->at(1);

        $domains = array_column($this->ask($study, 'domains'), null, 'entry');
        self::assertEqualsWithDelta(500 * $first, $domains['quillfair.example']['visits'], 1e-6);
        self::assertEqualsWithDelta(1 / 3, $domains['quillfair.example']['share_of_clicks'], 1e-9);
        self::assertEqualsWithDelta([1 / 3, 2 / 3], $this->ask($study, 'track')['shares'][0]['shares'], 1e-9);
        self::assertEqualsWithDelta(500 * $first, $this->ask($study, 'bench/pages?domain=0')[0]['visits'], 1e-6);
    }

    public function test_the_dossier_says_what_became_of_keywords_that_stood_where_this_one_does(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->rank($study, 'quillfair.example', '2026-08-01', "pen,12,100,,\nink,15,100,,\nnib,2,100,,\n");
        $this->rank($study, 'quillfair.example', '2026-11-01', "pen,14,100,,\nink,3,100,,\nnib,2,100,,\n");
        $this->rank($study, 'inkmoor.example', '2026-11-01', "pen,1,100,,\n");
        $this->compare($study);
        $facts = array_column($this->ask($study, 'keyword?keyword=pen')['evidence'], null, 'code');
        self::assertSame(
            'Of 2 keywords of all domains at 11–20 on 1 Aug 2026, 50% are at 3 or better now (ours: 1 of 2).',
            $facts['base_rate']['sentence'],
        );
    }

    public function test_it_looks_three_snapshots_back_and_at_least_sixty_days(): void
    {
        $months = ['2026-11-01', '2026-10-01', '2026-09-01', '2026-08-01', '2026-07-01'];
        self::assertSame('2026-08-01', BaseRateQuery::dayThen($months));
        self::assertSame('2026-09-01', BaseRateQuery::dayThen(array_slice($months, 0, 3)));
        self::assertNull(BaseRateQuery::dayThen(array_slice($months, 0, 2)), 'A month is too short.');
        self::assertSame('2026-09-02', BaseRateQuery::dayThen(['2026-11-01', '2026-09-02']), 'Sixty days.');
        self::assertNull(BaseRateQuery::dayThen(['2026-11-01', '2026-09-03']));
        self::assertNull(BaseRateQuery::dayThen(['2026-11-01']));
        self::assertNull(BaseRateQuery::dayThen([]));
    }

    public function test_shares_of_a_day_take_each_domains_newest_snapshot_on_or_before_it(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->rank($study, 'inkmoor.example', '2026-09-20', "pen,1,100,,\n");
        $this->rank($study, 'inkmoor.example', '2026-10-20', "pen,2,100,,\n");
        $this->rank($study, 'quillfair.example', '2026-10-01', "pen,2,100,,\n");
        $this->rank($study, 'quillfair.example', '2026-11-01', "pen,1,100,,\n");
        $this->compare($study);
        [$first, $second] = [CtrCurve::default()->at(1), CtrCurve::default()->at(2)];

        $shares = array_column($this->ask($study, 'track')['shares'], 'shares', 'day');
        self::assertEqualsWithDelta($second / ($first + $second), $shares['2026-10-01'][0], 1e-9);
        self::assertEqualsWithDelta($first / ($first + $second), $shares['2026-11-01'][0], 1e-9);
    }

    public function test_keywords_with_a_known_fit_below_the_minimum_are_counted_as_hidden(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->rank($study, 'inkmoor.example', '2026-11-01', "pen,3,900,,\nnib,4,40,,\nink,5,70,,\n");
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['min_fit=3']]);
        $this->compare($study);
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['pen'], 'fit' => 3])->assertOk();
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['ink'], 'fit' => 2])->assertOk();

        $hidden = $this->ask($study, 'opportunities/hidden?show=mark%3Dkept');
        self::assertSame(3, $hidden['of']);
        self::assertSame([['why' => 'below the minimum fit', 'keywords' => 1]], $hidden['hidden']);
    }

    public function test_a_topic_made_by_hand_counts_for_tactic_and_effort(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->rank($study, 'quillfair.example', '2026-11-01', "pen case,8,90,,https://quillfair.example/cases\n");
        $theirs = "ink,3,900,,https://inkmoor.example/ink\npen case,2,90,,https://inkmoor.example/cases\n";
        $this->rank($study, 'inkmoor.example', '2026-11-01', $theirs);
        $this->compare($study);
        $page = fn(string $topic): array => array_column($this->ask($study, 'opportunities/topics')['rows'], null, 'topic')[$topic];
        self::assertEquals(['new page', 3], [$page('ink')['tactic'], $page('ink')['effort_days']]);

        $order = ['keywords' => ['ink', 'pen case'], 'topic' => 'writing'];
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", $order)->assertOk();
        $this->compare($study);
        self::assertEquals(['extend page', 1.5], [$page('writing')['tactic'], $page('writing')['effort_days']]);
    }

    public function test_a_clause_of_one_value_refuses_two_and_says_which_there_are(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->rank($study, 'inkmoor.example', '2026-11-01', "pen,3,900,,\n");
        $this->compare($study);
        foreach (['mark=open,kept', 'brands=hide,only', 'conflict=yes,no', 'paid=we,they', 'roadmap=hide,only'] as $clause) {
            $response = $this->getJson("/api/v1/studies/{$study->slug}/opportunities?show=".urlencode($clause))->assertStatus(422);
            self::assertStringContainsString('takes one value', (string) $response->json('detail'), $clause);
        }
    }

    public function test_numbers_of_a_clause_have_any_decimals_and_need_no_leading_zero(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->rank($study, 'inkmoor.example', '2026-11-01', "pen,3,900,,\n");
        $this->compare($study);
        foreach (['volume>=.5', 'volume>=899.99999999', 'gain>=0.1234567890123', 'volume<=900.0'] as $clause) {
            self::assertSame(1, $this->ask($study, 'opportunities?show='.urlencode($clause))['total'], $clause);
        }
        $at = "/api/v1/studies/{$study->slug}/opportunities?show=";
        foreach (['volume>=', 'volume>=1e3', 'volume>=1,5'] as $clause) {
            $this->getJson($at.urlencode($clause))->assertStatus(422);
        }
    }

    /** @param string $rows keyword, position, volume, features, URL */
    private function rank(Study $study, string $domain, string $day, string $rows): void
    {
        $this->import($study, "keyword,position,volume,features,url\n{$rows}", options: ['--domain' => $domain, '--date' => $day]);
    }

    private function compare(Study $study): void
    {
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));
    }

    /** @return array<mixed> */
    private function ask(Study $study, string $path): array
    {
        return (array) $this->getJson("/api/v1/studies/{$study->slug}/{$path}")->assertOk()->json();
    }
}
