<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Comparison;
use App\Models\Study;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class StudiesApiTest extends TestCase
{
    public function test_who_makes_a_study_may_edit_it(): void
    {
        $slug = 'made-'.bin2hex(random_bytes(4));
        $this->actingAs($this->makeUser())
            ->postJson('/api/v1/studies', [
                'slug' => $slug,
                'name' => 'Pens',
                'domain' => 'quillfair.example',
                'competitors' => ['https://inkmoor.example/shop'],
            ])
            ->assertStatus(201)
            ->assertJsonPath('may_edit', true)
            ->assertJsonPath('competitors.0', 'https://inkmoor.example/shop')
            ->assertJsonPath('stages.compare', null);
        $this->postJson('/api/v1/studies', ['slug' => $slug, 'name' => 'Again', 'domain' => 'quillfair.example'])
            ->assertStatus(422)
            ->assertJsonPath('errors.slug.0', fn(string $says): bool => str_contains($says, 'already'));
    }

    public function test_a_wrong_study_is_refused_with_its_field(): void
    {
        $this->actingAs($this->makeUser());
        foreach (['domain' => 'co.uk', 'country' => 'ZZ', 'slug' => 'Not A Slug'] as $field => $value) {
            $answer = $this->postJson('/api/v1/studies', [
                'slug' => 'fine-slug',
                'name' => 'Pens',
                'domain' => 'quillfair.example',
                $field => $value,
            ]);
            $answer->assertStatus(422)->assertHeader('Content-Type', 'application/problem+json');
            self::assertArrayHasKey($field, $answer->json('errors'));
        }
    }

    public function test_studies_are_found_by_name_or_domain_and_come_in_groups(): void
    {
        $this->actingAs($this->makeUser());
        $tag = bin2hex(random_bytes(4));
        $studies = [['b', 'GB', "zinc-{$tag}.example"], ['a', 'IE', "zinc-{$tag}.example"], ['c', 'GB', "alum-{$tag}.example"]];
        foreach ($studies as [$name, $country, $domain]) {
            $this->postJson('/api/v1/studies', [
                'slug' => "{$name}-{$tag}", 'name' => "{$name} {$tag}", 'domain' => $domain, 'country' => $country,
                'competitors' => $name === 'a' ? ["inkmoor-{$tag}.example"] : [],
            ])->assertStatus(201);
        }
        $names = function (string $query) use ($tag): array {
            $found = [];
            $cursor = '';
            do {
                $page = $this->getJson("/api/v1/studies?limit=1&{$query}&cursor=".urlencode($cursor))->assertOk();
                array_push($found, ...array_column($page->json('studies'), 'name'));
                $cursor = (string) $page->json('next');
            } while ($cursor !== '');

            return array_map(static fn(string $name): string => str_replace(" {$tag}", '', $name), $found);
        };
        self::assertSame(['a', 'b', 'c'], $names("name={$tag}"));
        self::assertSame(['a', 'b'], $names("name=ZINC-{$tag}"));
        self::assertSame(['a'], $names("name=inkmoor-{$tag}"));
        self::assertSame(['c', 'a', 'b'], $names("name={$tag}&group=domain"));
        self::assertSame(['b', 'c', 'a'], $names("name={$tag}&group=country"));
        $this->getJson('/api/v1/studies?group=colour')->assertStatus(422);
    }

    public function test_swapping_a_competitor_compares_anew_and_keeps_what_was_brought_in(): void
    {
        $study = $this->makeStudy(['inkmoor.example', 'nibhouse.example']);
        foreach (['quillfair.example' => 9, 'inkmoor.example' => 3, 'nibhouse.example' => 5] as $domain => $position) {
            $this->import($study, "keyword,position\npen,{$position}\n", options: ['--domain' => $domain, '--date' => '2026-11-01']);
        }
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study));
        $this->actingAs($this->makeEditor($study));
        $this->getJson("/api/v1/studies/{$study->slug}/bench")->assertJsonPath('rows.0.positions', [9, 3, 5]);
        $this->patchJson("/api/v1/studies/{$study->slug}", ['competitors' => ['nibhouse.example']])
            ->assertOk()
            ->assertJsonPath('is_current', false);
        // The first question orders the new comparison; until it is there the old one stays on show.
        $this->getJson("/api/v1/studies/{$study->slug}/comparison")
            ->assertOk()
            ->assertJsonPath('is_current', false);
        $this->getJson("/api/v1/studies/{$study->slug}/comparison")
            ->assertOk()
            ->assertJsonPath('is_current', true);
        $this->getJson("/api/v1/studies/{$study->slug}/bench")->assertJsonPath('rows.0.positions', [9, 5]);
        $this->patchJson("/api/v1/studies/{$study->slug}", [
            'domain' => 'nibhouse.example',
            'competitors' => ['quillfair.example', 'inkmoor.example'],
        ])->assertOk();
        $this->getJson("/api/v1/studies/{$study->slug}/comparison");
        $this->getJson("/api/v1/studies/{$study->slug}/bench")->assertJsonPath('rows.0.positions', [5, 9, 3]);
    }

    public function test_old_comparisons_are_forgotten_with_their_rows(): void
    {
        $study = $this->makeStudy();
        foreach (range(1, 7) as $position) {
            $this->import(
                $study,
                "keyword,position\npen,{$position}\n",
                options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
            );
            $this->command('reach:compare', ['slug' => $study->slug]);
        }
        $kept = Comparison::query()->where('study_id', $study->id)->pluck('id')->all();
        self::assertCount(config()->integer('reach.kept_comparisons') + 1, $kept);
        self::assertContains(Study::query()->findOrFail($study->id)->comparison_id, $kept);
        self::assertEqualsCanonicalizing($kept, DB::table('comparison_rows')->where('study_id', $study->id)->pluck('comparison_id')->all());
    }

    public function test_a_current_comparison_is_not_computed_again(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\npen,4\n", options: ['--domain' => 'quillfair.example']);
        $ensure = app(EnsureComparison::class);
        $first = $ensure->execute(ComparisonOptions::shownBy($study))->id;
        self::assertSame($first, $ensure->execute(ComparisonOptions::shownBy($study))->id);
        $this->import($study, "domain,authority\nquillfair.example,40\n", 'domains');
        self::assertNotSame($first, $ensure->execute(ComparisonOptions::shownBy($study))->id);
    }

    public function test_the_rulebook_is_changed_all_or_none(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->patchJson("/api/v1/studies/{$study->slug}/rulebook", ['settings' => ['target' => '2', 'conversion_rate' => '120%']])
            ->assertStatus(422)
            ->assertJsonPath('errors.conversion_rate.0', fn(string $says): bool => str_contains($says, 'from 0 to 1'));
        self::assertSame(3, $study->rulebook()->int('target'));
        $this->patchJson("/api/v1/studies/{$study->slug}/rulebook", ['settings' => ['target' => '2']])->assertOk();
        self::assertSame(2, $study->rulebook()->int('target'));
    }

    public function test_changes_need_the_token_of_the_session(): void
    {
        $this->app->detectEnvironment(static fn(): string => 'production');
        $this->postJson('/api/v1/session', ['email' => 'x', 'password' => 'y'])
            ->assertStatus(419)
            ->assertJsonPath('title', 'Session expired');
    }
}
