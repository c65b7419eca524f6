<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What belongs to one study cannot be seen, changed or taken away by way of another, even by who may edit both. */
final class OtherStudiesTest extends TestCase
{
    /**
     * @return iterable<string, array{string, array<string, mixed>, list<array{string, string, array<string, mixed>}>}> where a thing is
     *     made, how, and what is tried with it: method, path, body
     */
    public static function things(): iterable
    {
        yield 'a lens' => ['lenses', ['name' => 'Ours', 'show' => 'standing=gap'], [['DELETE', 'lenses/%d', []]]];
        yield 'weights' => ['weight-presets', ['name' => 'Ours', 'weights' => 'volume:1'], [['DELETE', 'weight-presets/%d', []]]];
        yield 'a draft' => [
            'plan/drafts',
            ['name' => 'Ours'],
            [
                ['PATCH', 'plan/drafts/%d', ['version' => 1, 'months' => 3]],
                ['POST', 'plan/drafts/%d/agree', []],
                ['DELETE', 'plan/drafts/%d', []],
                ['GET', 'plan?draft=%d', []],
                ['GET', 'plan/proposal?draft=%d', []],
                ['POST', 'plan/drafts', ['name' => 'Copy', 'from' => '%d']],
            ],
        ];
    }

    /**
     * @param array<string, mixed>                                $body
     * @param list<array{string, string, array<string, mixed>}> $attempts
     */
    #[DataProvider('things')]
    public function test_a_thing_is_there_in_its_own_study_alone(string $path, array $body, array $attempts): void
    {
        [$one, $other] = [$this->filled(), $this->filled()];
        $person = $this->makeEditor($one);
        $other->members()->attach($person->id, ['role' => 'editor']);
        $this->actingAs($person);
        $id = $this->postJson("/api/v1/studies/{$one->slug}/{$path}", $body)->assertCreated()->json('id');
        foreach ($attempts as [$method, $at, $sent]) {
            $sent = array_map(static fn(mixed $value): mixed => $value === '%d' ? $id : $value, $sent);
            $this->json($method, "/api/v1/studies/{$other->slug}/".sprintf($at, $id), $sent)->assertStatus(404);
        }
        $last = array_values(array_filter($attempts, static fn(array $attempt): bool => $attempt[0] === 'DELETE'))[0];
        $this->json('DELETE', "/api/v1/studies/{$one->slug}/".sprintf($last[1], $id))->assertOk();
        $this->json('DELETE', "/api/v1/studies/{$one->slug}/".sprintf($last[1], $id))->assertStatus(404);
    }

    public function test_domains_imports_tasks_and_changes_of_another_study_are_not_there(): void
    {
        [$one, $other] = [$this->filled(), $this->filled()];
        $person = $this->makeEditor($one);
        $other->members()->attach($person->id, ['role' => 'editor']);
        $this->actingAs($person);
        $change = $this->postJson("/api/v1/studies/{$one->slug}/decisions", ['keywords' => ['pen'], 'mark' => 'shortlisted'])
            ->assertOk()
            ->json('change');
        $domain = $one->domains()->firstOrFail()->id;
        $import = $one->imports()->firstOrFail()->id;
        $at = "/api/v1/studies/{$other->slug}";
        $this->patchJson("{$at}/domains/{$domain}", ['brand_terms' => ['stolen']])->assertStatus(404);
        $this->deleteJson("{$at}/domains/{$domain}")->assertStatus(404);
        $this->deleteJson("{$at}/imports/{$import}")->assertStatus(404);
        self::assertContains($this->postJson("{$at}/decisions/undo", ['change' => $change])->getStatusCode(), [404, 409, 422]);
        self::assertSame(
            ['pen'],
            array_column(
                $this->getJson("/api/v1/studies/{$one->slug}/bench?show=".urlencode('mark=shortlisted'))
                    ->assertOk()
                    ->json('rows'),
                'keyword',
            ),
            'What was decided there stands.',
        );
    }

    private function filled(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import($study, "keyword,position,volume,difficulty\npen,12,900,20\n", options: ['--domain' => 'quillfair.example']);
        $this->command('reach:weigh', ['slug' => $study->slug]);

        return $study->refresh();
    }
}
