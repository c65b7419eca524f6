<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Personal tokens: what a script can do with one, and what it cannot. */
final class TokenTest extends TestCase
{
    /** @param list<string> $abilities */
    private function token(User $user, array $abilities = ['read'], int $days = 30): string
    {
        $token = $this->flushHeaders()
            ->actingAs($user, 'web')
            ->postJson('/api/v1/tokens', ['name' => 'nightly', 'abilities' => $abilities, 'days' => $days])
            ->assertCreated()
            ->json('token');
        app('auth')->forgetGuards();

        return $token;
    }

    /**
     * @param array<string, mixed> $data
     *
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function ask(string $token, string $method, string $path, array $data = []): TestResponse
    {
        app('auth')->forgetGuards();

        return $this->withHeader('Authorization', 'Bearer '.$token)->json($method, '/api/v1/'.$path, $data);
    }

    private function study(): Study
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\npen,5\n", options: ['--domain' => 'quillfair.example']);
        $this->command('reach:weigh', ['slug' => $study->slug]);

        return $study->refresh();
    }

    public function test_a_script_reads_with_its_token_and_without_a_cookie(): void
    {
        $study = $this->study();
        $token = $this->token($this->makeEditor($study));
        $before = DB::table('sessions')->count();
        $answer = $this->ask($token, 'GET', "studies/{$study->slug}/bench")
            ->assertOk()
            ->assertJsonPath('rows.0.keyword', 'pen');
        self::assertSame([], $answer->headers->getCookies());
        self::assertSame($before, DB::table('sessions')->count());
        self::assertStringContainsString('no-store', (string) $answer->headers->get('Cache-Control'));
        $this->ask($token, 'GET', "studies/{$study->slug}/exports/compare.csv")->assertOk();
        $this->ask('1|nonsense', 'GET', "studies/{$study->slug}/bench")->assertUnauthorized();
        self::assertStringNotContainsString(
            $token,
            (string) json_encode(DB::table('personal_access_tokens')->get()),
            'Only its hash is kept.',
        );
    }

    public function test_a_token_writes_only_with_the_ability(): void
    {
        $study = $this->study();
        $editor = $this->makeEditor($study);
        $decide = ['keywords' => ['pen'], 'mark' => 'shortlisted'];
        $this->ask($this->token($editor), 'POST', "studies/{$study->slug}/decisions", $decide)
            ->assertForbidden()
            ->assertJsonPath('detail', 'This token can’t write.');
        $this->ask($this->token($editor, ['write']), 'GET', "studies/{$study->slug}/bench")->assertForbidden();
        $this->ask($this->token($editor, ['read', 'write']), 'POST', "studies/{$study->slug}/decisions", $decide)->assertOk();
        self::assertSame('shortlisted', DB::table('decisions')->where('study_id', $study->id)->value('mark'));
    }

    public function test_it_can_do_no_more_than_its_person(): void
    {
        $study = $this->study();
        $reader = $this->token($this->makeEditor($study, 'reader'), ['read', 'write']);
        $this->ask($reader, 'GET', "studies/{$study->slug}")
            ->assertOk()
            ->assertJsonPath('may_edit', false);
        $this->ask($reader, 'POST', "studies/{$study->slug}/decisions", [
            'keywords' => ['pen'],
            'mark' => 'shortlisted',
        ])->assertForbidden();
        $this->ask($this->token($this->makeUser(), ['read', 'write']), 'GET', "studies/{$study->slug}")->assertNotFound();
    }

    public function test_it_ends_on_its_day_and_when_it_is_taken_away(): void
    {
        $study = $this->study();
        $editor = $this->makeEditor($study);
        $token = $this->token($editor, ['read'], 2);
        Carbon::setTestNow(Carbon::now()->addDays(3));
        $this->ask($token, 'GET', "studies/{$study->slug}")->assertUnauthorized();
        Carbon::setTestNow();
        $this->ask($token, 'GET', "studies/{$study->slug}")->assertOk();
        $this->flushHeaders();
        $listed = $this->actingAs($editor, 'web')->getJson('/api/v1/tokens')->assertOk()->json();
        self::assertSame([['nightly', ['read']]], array_map(static fn(array $one): array => [$one['name'], $one['abilities']], $listed));
        $other = $this->makeUser();
        $this->actingAs($other, 'web')->deleteJson('/api/v1/tokens/'.$listed[0]['id'])->assertNotFound();
        $this->actingAs($editor, 'web')->deleteJson('/api/v1/tokens/'.$listed[0]['id'])->assertOk();
        $this->ask($token, 'GET', "studies/{$study->slug}")->assertUnauthorized();
    }

    public function test_a_token_makes_no_tokens(): void
    {
        $token = $this->token($this->makeUser(), ['read', 'write']);
        $this->ask($token, 'POST', 'tokens', ['name' => 'another', 'abilities' => ['write'], 'days' => 5])->assertForbidden();
        $this->ask($token, 'GET', 'tokens')->assertForbidden();
        $this->ask($token, 'DELETE', 'tokens/1')->assertForbidden();
    }

    public function test_a_token_without_name_abilities_or_end_is_refused(): void
    {
        $this->actingAs($this->makeUser());
        foreach (
            [
                ['abilities' => ['read'], 'days' => 5],
                ['name' => 'x', 'days' => 5],
                ['name' => 'x', 'abilities' => [], 'days' => 5],
                ['name' => 'x', 'abilities' => ['rule'], 'days' => 5],
                ['name' => 'x', 'abilities' => ['read'], 'days' => 4000],
                ['name' => 'x', 'abilities' => ['read']],
            ] as $bad
        ) {
            $this->postJson('/api/v1/tokens', $bad)->assertUnprocessable();
        }
    }
}
