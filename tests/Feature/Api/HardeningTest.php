<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\People\PasswordLinks;
use App\Actions\People\PasswordRule;
use App\Exceptions\DatabaseUnavailable;
use App\Exceptions\MaskedQuery;
use App\Jobs\RefreshComparison;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Accounts, limits and failures under attack. */
final class HardeningTest extends TestCase
{
    private const PASSWORD = 'correct horse';

    /** Source: OWASP ASVS 4.0.3, 3.3.3. */
    public function test_a_reset_by_link_ends_sessions_and_tokens(): void
    {
        $user = $this->makeUser();
        $user->createToken('script', ['read']);
        DB::table('sessions')->insert(['id' => 'open', 'user_id' => $user->id, 'payload' => '', 'last_activity' => time()]);
        $link = explode('#', app(PasswordLinks::class)->make($user)['address'])[1];
        $this->postJson('/api/v1/welcome', ['link' => $link, 'new_password' => 'a longer way to say it'])->assertOk();
        self::assertSame(0, $user->tokens()->count());
        self::assertSame(0, DB::table('sessions')->where('user_id', $user->id)->count());
    }

    public function test_wrong_passwords_from_elsewhere_lock_nobody_out(): void
    {
        $user = $this->makeUser();
        $try = fn(string $from, string $password) => $this->withServerVariables(['REMOTE_ADDR' => $from])
            ->postJson('/api/v1/session', ['email' => $user->email, 'password' => $password]);
        for ($attempt = 0; $attempt < 5; ++$attempt) {
            $try('192.0.2.7', 'wrong')->assertStatus(422);
        }
        $try('192.0.2.7', self::PASSWORD)->assertStatus(429);
        $try('192.0.2.8', self::PASSWORD)->assertOk();
    }

    public function test_the_longer_somebody_guesses_the_longer_they_wait(): void
    {
        $user = $this->makeUser();
        $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.9']);
        for ($minute = 0; $minute < 4; ++$minute) {
            for ($attempt = 0; $attempt < 5; ++$attempt) {
                $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'wrong'])->assertStatus(422);
            }
            $this->travel(61)->seconds();
        }
        $answer = $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => self::PASSWORD])->assertStatus(429);
        self::assertGreaterThan(60, (int) $answer->headers->get('Retry-After'));
    }

    public function test_links_of_invited_people_do_not_share_one_limit_with_sign_in(): void
    {
        $link = explode('#', app(PasswordLinks::class)->make($this->makeUser())['address'])[1];
        for ($attempt = 0; $attempt < 20; ++$attempt) {
            $this->postJson('/api/v1/welcome/read', ['link' => 'wrong'])->assertStatus(422);
        }
        $this->postJson('/api/v1/welcome/read', ['link' => $link])->assertOk();
    }

    /** @return iterable<string, array{string, bool}> */
    public static function passwords(): iterable
    {
        yield 'a common one with digits around it' => ['sunshine202612', false];
        yield 'a common one twice' => ['dragondragon', false];
        yield 'the name' => ['wheelwright-and-more', false];
        yield 'the domain' => ['my quillfair secret', false];
        yield 'four words' => ['plum orbit chalk seven', true];
    }

    #[DataProvider('passwords')]
    public function test_a_password_is_not_common_and_not_personal(string $password, bool $isGood): void
    {
        self::assertSame($isGood, PasswordRule::wrong($password, 'ada@quillfair.example', 'Ada Wheelwright') === null);
    }

    public function test_the_log_keeps_no_values_of_a_query(): void
    {
        DB::table('sessions')->insert(['id' => 'secret-session', 'user_id' => null, 'payload' => '', 'last_activity' => 1]);
        try {
            DB::table('sessions')->insert(['id' => 'secret-session', 'user_id' => null, 'payload' => '', 'last_activity' => 1]);
            self::fail('The database took it twice.');
        } catch (QueryException $error) {
            $masked = MaskedQuery::of($error);
            self::assertStringNotContainsString('secret-session', $masked->getMessage());
            self::assertStringNotContainsString('secret-session', (string) $masked->getPrevious()?->getMessage());
            self::assertStringContainsString('duplicate key', $masked->getMessage());
        }
    }

    public function test_a_database_that_is_gone_is_told_as_such(): void
    {
        $error = DatabaseUnavailable::orElse(new \PDOException('SQLSTATE[57P01]: terminating connection due to administrator command', 7));
        self::assertInstanceOf(DatabaseUnavailable::class, $error);
        self::assertSame([503, ['Retry-After' => 10]], [$error->getStatusCode(), $error->getHeaders()]);
        $other = new \PDOException('SQLSTATE[22P02]: Invalid text representation');
        self::assertSame($other, DatabaseUnavailable::orElse($other));
    }

    public function test_a_comparison_that_never_began_can_be_asked_for_within_a_minute(): void
    {
        self::assertLessThan(60, (new RefreshComparison(1))->uniqueFor);
    }

    public function test_the_audit_keeps_no_form_token(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->patchJson("/api/v1/studies/{$study->slug}/rulebook", ['settings' => ['target' => '4'], '_token' => 'the-token'])->assertOk();
        $detail = DB::table('audit')->where('study_id', $study->id)->orderByDesc('id')->value('detail');
        self::assertStringNotContainsString('the-token', \is_string($detail) ? $detail : '');
    }

    public function test_the_second_of_two_people_who_set_one_key_is_told(): void
    {
        $study = $this->makeStudy();
        $at = "/api/v1/studies/{$study->slug}/rulebook";
        $sent = ['settings' => ['target' => '4'], 'seen' => ['target' => '3']];
        $this->actingAs($this->makeEditor($study))->patchJson($at, $sent)->assertOk();
        $other = $this->actingAs($this->makeEditor($study));
        $other->patchJson($at, ['settings' => ['target' => '5'], 'seen' => ['target' => '3']])->assertStatus(409)
            ->assertJsonPath('detail', 'Someone else changed "Target position" to 4. Reload to see it, then try again.');
        $other->patchJson($at, ['settings' => ['min_fit' => '1'], 'seen' => ['min_fit' => '0']])->assertOk();
    }

    public function test_a_shared_brief_closes_when_its_maker_is_shut_out(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\nink,4\n", 'rankings', ['--domain' => 'quillfair.example']);
        $this->import($study, "keyword,volume,difficulty\nink,900,40\n", 'keywords');
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $editor = $this->makeEditor($study);
        $at = "/api/v1/studies/{$study->slug}/plan/items";
        $item = $this->actingAs($editor)->postJson($at, ['keywords' => ['ink']])->assertSuccessful()->json('items.0.id')
            ?? DB::table('plan_items')->where('study_id', $study->id)->value('id');
        $url = $this->postJson("{$at}/{$item}/links", ['days' => 3])->assertSuccessful()->json('url');
        $this->get((string) $url)->assertOk();
        User::query()->whereKey($editor->id)->update(['disabled_at' => now()]);
        $this->get((string) $url)->assertStatus(410);
    }
}
