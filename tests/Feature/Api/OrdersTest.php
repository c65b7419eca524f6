<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use Tests\TestCase;

/** Lists go by every column, both ways, and what is unknown stays apart. */
final class OrdersTest extends TestCase
{
    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example', 'nibhouse.example']);
        $this->list('quillfair.example', "ink,4\nnib,30\nwax,12");
        $this->list('inkmoor.example', "ink,9\nnib,2\npaper,100\nseal,3");
        $this->list('nibhouse.example', "wax,1\nink,2");
        $this->import($this->study, "keyword,volume,difficulty\nink,900,40\nnib,100,10\nwax,50,70\npaper,10,5\n", 'keywords');
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->actingAs($this->makeEditor($this->study));
    }

    public function test_a_competitors_position_is_gone_by_as_a_number(): void
    {
        self::assertSame(['nib', 'seal', 'ink', 'paper', 'wax'], $this->keywords('bench?sort=p1&dir=asc'));
        self::assertSame(['paper', 'ink', 'seal', 'nib', 'wax'], $this->keywords('bench?sort=p1&dir=desc'), 'Unknown stays last.');
        self::assertSame(['wax', 'ink', 'nib', 'paper', 'seal'], $this->keywords('bench?sort=p2&dir=asc'));
        foreach (['p3', 'p01', 'p', 'positions'] as $none) {
            $this->getJson("/api/v1/studies/{$this->study->slug}/bench?sort={$none}")->assertStatus(422);
        }
    }

    public function test_names_go_by_their_own_order(): void
    {
        $rows = $this->getJson("/api/v1/studies/{$this->study->slug}/bench?sort=standing&dir=asc")->assertOk()->json('rows');
        self::assertSame(['gap', 'gap', 'behind', 'behind', 'behind'], array_column($rows, 'standing'));
    }

    public function test_what_people_decided_is_gone_by(): void
    {
        $decide = fn(array $decision): mixed => $this->postJson("/api/v1/studies/{$this->study->slug}/decisions", $decision)->assertOk();
        $decide(['keywords' => ['wax'], 'mark' => 'shortlisted', 'reason' => 'before winter']);
        $decide(['keywords' => ['nib'], 'mark' => 'shortlisted', 'reason' => 'a good margin']);
        $decide(['keywords' => ['ink'], 'tag' => 'spring']);
        self::assertSame(['nib', 'wax'], \array_slice($this->keywords('bench?sort=reason&dir=asc'), 0, 2));
        self::assertSame(['wax', 'nib'], \array_slice($this->keywords('bench?sort=reason&dir=desc'), 0, 2));
        self::assertSame('ink', $this->keywords('bench?sort=tags&dir=desc')[0]);
        self::assertSame(['nib', 'wax'], \array_slice($this->keywords('opportunities?sort=reason&dir=asc'), 0, 2));
    }

    public function test_pages_go_by_every_column_of_their_list(): void
    {
        $orders = ['page', 'target', 'horizon', 'tactic', 'intent', 'own', 'days', 'worth', 'links', 'keywords', 'potential'];
        $all = $this->topics('topic');
        foreach ($orders as $order) {
            foreach (['asc', 'desc'] as $dir) {
                $rows = $this->topics("{$order}&dir={$dir}");
                self::assertEqualsCanonicalizing(array_column($all, 'topic'), array_column($rows, 'topic'), $order);
            }
        }
        $horizons = array_column($this->topics('horizon&dir=asc'), 'horizon');
        $known = array_values(array_intersect(['quick win', 'short term', 'long term'], $horizons));
        self::assertSame($known, array_values(array_unique(array_filter($horizons))));
    }

    public function test_all_of_a_list_of_weigh_is_what_that_list_shows(): void
    {
        $path = "/api/v1/studies/{$this->study->slug}/decisions";
        $decide = fn(array $order): array => array_column(
            $this->postJson($path, [...$order, 'mark' => 'shortlisted'])->assertOk()->json('before'),
            'keyword',
        );
        $listed = $this->keywords('opportunities?sort=keyword&dir=asc');
        self::assertSame($listed, $decide(['show' => '', 'list' => 'weigh']));
        self::assertSame(['ink'], $decide(['show' => 'volume>=500', 'list' => 'weigh']));
        $topic = $this->topics('topic')[0]['topic'];
        $open = $decide(['show' => 'topic='.$topic, 'list' => 'pages']);
        self::assertNotSame([], $open);
        self::assertSame($open, $decide(['topics' => [$topic]]), 'Every open keyword of the page.');
        $this->postJson($path, ['show' => '', 'list' => 'all', 'mark' => null])->assertStatus(422);
    }

    private function list(string $domain, string $rows): void
    {
        $this->import($this->study, "keyword,position\n{$rows}\n", options: ['--domain' => $domain, '--date' => '2026-11-01']);
    }

    /** @return list<string> */
    private function keywords(string $path): array
    {
        $keywords = array_column($this->getJson("/api/v1/studies/{$this->study->slug}/{$path}")->assertOk()->json('rows'), 'keyword');

        return array_map(strval(...), $keywords);
    }

    /** @return list<array<string, mixed>> */
    private function topics(string $order): array
    {
        /** @var list<array<string, mixed>> */
        return $this->getJson("/api/v1/studies/{$this->study->slug}/opportunities/topics?sort={$order}")->assertOk()->json('rows');
    }
}
