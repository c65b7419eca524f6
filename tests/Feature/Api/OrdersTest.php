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

    public function test_the_short_lists_go_by_every_column_before_they_are_cut(): void
    {
        $this->import($this->study, "keyword,position\nink,6\nnib,20\nseal,2\n", options: [
            '--domain' => 'quillfair.example',
            '--date' => '2026-10-01',
        ]);
        $ours = (string) $this->study->domains()->where('role', 'own')->firstOrFail()->id;
        $of = fn(string $path, string $column): array => array_column($this->rowsOf($path), $column, 'keyword');
        self::assertSame(
            ['nib' => 'slipped', 'ink' => 'climbed', 'seal' => 'left', 'wax' => 'entered'],
            $of("bench/movement?domain={$ours}&sort=movement&dir=desc", 'movement'),
        );
        self::assertSame(
            ['ink' => 4, 'wax' => 12, 'nib' => 30, 'seal' => null],
            $of("bench/movement?domain={$ours}&sort=after&dir=asc", 'after'),
        );
        self::assertSame('ink', array_key_first($of("bench/movement?domain={$ours}", 'volume')), 'by volume where nothing is said');
        $own = $of('bench/page-one?sort=own&dir=asc', 'own_position');
        self::assertSame(['ink' => 4, 'wax' => 12, 'nib' => 30], \array_slice($own, 0, 3));
        self::assertSame([2, 3], \array_slice($this->ofFirst('bench/page-one?sort=p1&dir=asc'), 0, 2));
        foreach (['bench/pages', "bench/movement?domain={$ours}", 'bench/advertising', 'bench/page-one'] as $list) {
            $this->getJson($this->at($list.(str_contains($list, '?') ? '&' : '?').'sort=nothing'))
                ->assertStatus(422)
                ->assertJsonPath('errors.sort.0', static fn(string $told): bool => str_starts_with($told, 'Sort by one of '));
        }
    }

    public function test_competitors_pages_go_by_each_of_their_columns(): void
    {
        $this->import(
            $this->study,
            "keyword,position,url\nink,9,https://inkmoor.example/b\nnib,2,https://inkmoor.example/a\nseal,3,https://inkmoor.example/a\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $pages = fn(string $order): array => array_column($this->rowsOf('bench/pages?'.$order), 'url');
        [$a, $b] = ['https://inkmoor.example/a', 'https://inkmoor.example/b'];
        self::assertSame([$a, $b], $pages('sort=page&dir=asc'));
        self::assertSame([$b, $a], $pages('sort=page&dir=desc'));
        self::assertSame([$b, $a], $pages('sort=keywords&dir=asc'));
        self::assertSame([$a, $b], $pages('sort=we_lack&dir=desc'));
        self::assertSame($pages(''), $pages('sort=visits&dir=desc'));
        self::assertSame($pages('sort=share&dir=desc'), array_reverse($pages('sort=share&dir=asc')));
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

    public function test_each_clause_says_what_it_leaves_of_the_list_it_narrows(): void
    {
        $sentence = rawurlencode('volume>=50;volume>=500');
        $steps = fn(string $list): array => $this->getJson($this->at("bench/steps?list={$list}&show={$sentence}"))->assertOk()->json();
        foreach (['compare' => 'bench', 'weigh' => 'opportunities', 'pages' => 'opportunities/topics'] as $list => $view) {
            foreach (['volume>=50', 'volume>=50;volume>=500'] as $number => $show) {
                $rows = $this->rowsOf($view.'?show='.rawurlencode($show));
                self::assertSame(\count($rows), $steps($list)[$number]['keywords'], "{$list}: {$show}");
            }
        }
        $this->getJson($this->at('bench/steps?list=plan&show='))->assertStatus(422);
    }

    public function test_groups_are_decided_about_as_they_are_shown(): void
    {
        $path = $this->at('decisions');
        $decide = fn(array $order): array => array_column(
            $this->postJson($path, [...$order, 'tag' => 'spring'])->assertOk()->json('before'),
            'keyword',
        );
        $intents = $this->rowsOf('opportunities/groups?by=intent');
        $shown = array_sum(array_column($intents, 'keywords'));
        self::assertCount($shown, $decide(['show' => '', 'by' => 'intent', 'groups' => array_column($intents, 'name')]));
        $this->postJson($path, ['keywords' => ['ink'], 'stage' => 'bottom'])->assertOk();
        self::assertSame(['ink'], $decide(['show' => '', 'by' => 'stage', 'groups' => ['bottom']]));
        $unset = $decide(['show' => '', 'by' => 'stage', 'groups' => [null]]);
        self::assertNotContains('ink', $unset);
        self::assertSame($shown, \count($decide(['show' => '', 'by' => 'stage', 'groups' => ['top', 'middle', 'bottom', null]])));
        self::assertSame([], $decide(['show' => 'volume>=100000', 'by' => 'stage', 'groups' => ['bottom']]));
        $this->postJson($path, ['show' => '', 'groups' => ['bottom'], 'tag' => 'spring'])->assertStatus(422);
        $this->postJson($path, ['show' => '', 'by' => 'colour', 'groups' => ['bottom'], 'tag' => 'spring'])->assertStatus(422);
    }

    /** @return list<int> positions of the first competitor in the order of the list */
    private function ofFirst(string $list): array
    {
        $positions = array_column($this->getJson($this->at('bench?sort=p1&dir=asc'))->json('rows'), 'positions', 'keyword');

        return array_map(static fn(array $row): int => $positions[$row['keyword']][1] ?? 0, $this->rowsOf($list));
    }

    private function at(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }

    /** @return list<array<string, mixed>> */
    private function rowsOf(string $path): array
    {
        $answer = $this->getJson($this->at($path))->assertOk()->json();

        return $answer['rows'] ?? $answer;
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
