<?php

declare(strict_types=1);

namespace Tests\Feature\Answers;

use App\Models\PlanItem;
use App\Models\Study;
use App\Models\User;

/**
 * What one small market is answered, figure for figure: a change that should have changed no answer is told here. Whether the figures are
 * right is held elsewhere, against calculations that stand outside the project.
 */
final class KnownAnswersTest extends AnswersCase
{
    private const LISTS = ['bench', 'bench/ours', 'bench/advertising', 'bench/page-one', 'opportunities', 'opportunities/topics'];
    private const FIELDS = ['volume', 'difficulty', 'gain', 'cpc', 'words', 'own'];
    private const TRAITS = ['topic', 'intent', 'stage', 'tactic', 'horizon', 'page'];

    private static ?Study $kept = null;

    private static ?User $editor = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = self::$kept ?? $this->makeStudy(MadeMarket::RIVALS, MadeMarket::OWN);
        self::$editor ??= $this->makeEditor($this->study);
        $this->secrets = [$this->study->slug, self::$editor->email, self::$editor->name];
        $this->actingAs(self::$editor);
        if (self::$kept === null) {
            $this->begin('story');
            $this->tellStory();
            $this->book->check();
            self::$kept = $this->study->refresh();
        }
    }

    public static function tearDownAfterClass(): void
    {
        self::$kept = self::$editor = null;
        parent::tearDownAfterClass();
    }

    public function test_what_is_gathered(): void
    {
        $this->begin('gather');
        $this->ask('', 'domains', 'imports', 'comparison', 'candidates', 'curve', 'effect', 'tags', 'reasons', 'lenses', 'weight-presets');
        $this->ask('rulebook', 'rulebook/history', 'rulebook/open-words', 'tasks');
        $this->book->add('studies', $this->getJson('/api/v1/studies?name='.$this->study->slug)->assertOk()->json('studies'));
        $this->book->check();
    }

    public function test_what_the_bench_shows(): void
    {
        $this->begin('bench');
        foreach (self::LISTS as $list) {
            $this->ask($list, "{$list}?show=volume>=1500");
        }
        foreach (self::FIELDS as $field) {
            $this->ask("bench/distribution?field={$field}", "bench/distribution?show=volume<=600&field={$field}");
        }
        $this->ask('bench/summary?steps=1', 'bench/summary?show=standing=gap', 'bench/steps', 'bench/noise');
        $this->ask('bench/noise?show=competitors>=2@20');
        $this->book->add('whose names', array_column($this->getJson($this->at('bench/noise'))->json('brand_terms'), 'domain', 'word'));
        $this->ask('bench/steps?list=weigh&show=standing=gap;volume>=500');
        foreach ($this->study->domains()->orderBy('id')->take(4)->get()->all() as $place => $domain) {
            $this->ask("bench/pages?domain={$place}");
            $this->moved("domain {$place}", "domain={$domain->id}");
            $this->moved("domain {$place}, older", "domain={$domain->id}&from=2026-08-01&to=2026-10-01");
            $this->moved("domain {$place}, paid", "domain={$domain->id}&channel=paid&only=entered");
        }
        $this->ask('bench/pages?sort=keywords&dir=desc&domain=1');
        $this->book->check();
    }

    public function test_what_is_weighed(): void
    {
        $this->begin('weigh');
        foreach (self::TRAITS as $trait) {
            $this->ask("opportunities/groups?by={$trait}", "opportunities/groups?show=standing=gap&by={$trait}");
        }
        foreach (['keyword', 'topic'] as $by) {
            $this->ask("opportunities/map?by={$by}", "opportunities/steadiness?by={$by}");
        }
        $this->ask('opportunities/hidden', 'opportunities/hidden?show=standing=gap', 'opportunities?weights=ease:1', 'findings');
        foreach (['fountain pen', 'best nib', 'best ink', 'vintage wax seal'] as $keyword) {
            $this->ask("keyword?keyword={$keyword}");
        }
        $this->book->check();
    }

    public function test_what_is_planned_and_what_came_of_it(): void
    {
        $this->begin('plan');
        $this->ask('plan', 'plan/proposal', 'plan/goal?goal=300&until=2027-06&odds=.8', 'track');
        foreach (PlanItem::of($this->study)->orderBy('name')->get() as $item) {
            $this->book->add("brief of {$item->name}", $this->getJson($this->at("plan/items/{$item->id}/brief"))->assertOk()->json());
        }
        $this->book->check();
    }

    public function test_what_is_taken_away(): void
    {
        $this->begin('exports');
        foreach (['compare', 'weigh', 'topics', 'plan', 'roadmap'] as $export) {
            $this->take("exports/{$export}.csv", "exports/{$export}.json");
        }
        $this->take('exports/weigh.csv?by=topic', 'exports/plan.csv?months=3&capacity=5&start=2026-12');
        $this->read('the month in review', 'exports/review.html');
        $this->take('exports/list.csv?list=compare&columns=keyword,own,gain');
        $this->take('exports/list.json?list=weigh&show=standing=gap&columns=keyword,horizon');
        $item = PlanItem::of($this->study)->orderBy('name')->firstOrFail();
        $this->take("plan/items/{$item->id}/brief.md");
        $this->read('the brief', "plan/items/{$item->id}/brief.html");
        $names = ['best ink ideas', 'buy pen', 'vintage pen'];
        foreach (PlanItem::of($this->study)->whereIn('name', $names)->orderBy('name')->get() as $item) {
            $this->take("plan/items/{$item->id}/brief.md");
            $this->unpack("plan/items/{$item->id}/brief.odt", 'mimetype', 'META-INF/manifest.xml', 'content.xml');
        }
        $this->book->check();
    }

    private function moved(string $name, string $query): void
    {
        $this->book->add("movement of {$name}", $this->getJson($this->at("bench/movement?{$query}"))->assertOk()->json());
    }

    private function unpack(string $path, string ...$entries): void
    {
        $file = $this->makeFile((string) $this->get($this->at($path))->assertOk()->getContent(), 'brief.odt');
        foreach ($entries as $entry) {
            $this->book->add((string) preg_replace('~/\d+/~', '/*/', "{$path}, {$entry}"), file_get_contents("zip://{$file}#{$entry}"));
        }
    }

    private function tellStory(): void
    {
        foreach (MadeMarket::files() as $number => [$kind, $content, $options]) {
            $this->book->add("import {$number}", $this->import($this->study, $content, $kind, $options));
        }
        foreach (['reach:compare', 'reach:weigh', 'reach:model', 'reach:topics', 'reach:findings'] as $command) {
            $this->book->add($command, array_map(static fn(string $said): array => explode("\n", $said), [
                ...\array_slice($this->commandApart($command, ['slug' => $this->study->slug]), 1),
            ]));
        }
        $this->study->refresh();
        $this->tell('PATCH', 'rulebook', ['settings' => ['moving_share' => '.4']]);
        $this->decide();
        $this->plan();
        $this->command('reach:compare', ['slug' => $this->study->slug]);
        $this->ask('findings');
    }

    private function decide(): void
    {
        $this->tell('POST', 'decisions', ['show' => 'volume>=1500', 'mark' => 'shortlisted']);
        $this->tell('POST', 'decisions', ['keywords' => ['ink', 'inkmoor pen'], 'mark' => 'set aside', 'reason' => 'another meaning']);
        $this->tell('POST', 'decisions', ['keywords' => ['best nib', 'blue ink'], 'fit' => 4, 'note' => 'before winter']);
        $this->tell('POST', 'decisions', ['show' => 'text=fountain', 'tag' => 'spring']);
        $this->tell('POST', 'decisions', ['by' => 'intent', 'groups' => ['commercial'], 'show' => 'standing=gap', 'tag' => 'gifts']);
        $this->tell('POST', 'lenses', ['name' => 'large', 'show' => 'volume>=1500']);
        $this->tell('POST', 'weight-presets', ['name' => 'easy', 'weights' => 'ease:2,volume:1']);
    }

    private function plan(): void
    {
        $this->tell('PATCH', 'plan', ['start' => '2026-08', 'months' => 8, 'capacity' => 6]);
        $this->tell('POST', 'plan/items', []);
        $this->tell('POST', 'plan/items', ['keywords' => ['pen', 'vintage pen for sale'], 'alone' => true]);
        $course = ['done', 'done', 'published', 'writing', 'planned', 'dropped'];
        foreach (PlanItem::of($this->study)->orderBy('name')->get() as $number => $item) {
            $this->tell('PATCH', "plan/items/{$item->id}", [
                'version' => $item->version,
                'month' => sprintf('2026-%02d', 8 + $number % 5),
                'owner' => ['Wren', 'Rowan'][$number % 2],
                'due' => sprintf('2026-%02d-15', 8 + $number % 5),
            ]);
            $status = $course[$number % \count($course)];
            if ($status !== 'planned') {
                $this->tell('PATCH', "plan/items/{$item->id}", ['version' => $item->version + 1, 'status' => $status]);
            }
        }
        $this->tell('POST', 'plan/drafts', ['name' => 'spring push']);
    }
}
