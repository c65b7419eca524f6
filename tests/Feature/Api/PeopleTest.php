<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\User;
use App\Support\OneTime\Totp;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Accounts on the screen: invited, changed, shut out, and asked for a second factor. */
final class PeopleTest extends TestCase
{
    private const PASSWORD = 'hive and heather 7';

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function signInAs(string $email, string $password, ?string $code = null): TestResponse
    {
        $this->app['auth']->forgetGuards();

        return $this->postJson('/api/v1/session', ['email' => $email, 'password' => $password, 'code' => $code]);
    }

    /** @param TestResponse<\Symfony\Component\HttpFoundation\Response> $made */
    private function linkOf(TestResponse $made): string
    {
        return explode('#', (string) $made->json('address'))[1];
    }

    public function test_a_person_is_invited_and_chooses_a_password_once(): void
    {
        $study = $this->makeStudy();
        $email = 'wren-'.getmypid().'@quillfair.example';
        $made = $this->actingAs($this->makeUser(true))->postJson('/api/v1/people', [
            'email' => $email, 'name' => 'Wren Sedge', 'may_make_studies' => false, 'roles' => [$study->slug => 'reader'],
        ])->assertCreated();
        $link = $this->linkOf($made);
        self::assertStringNotContainsString($link, (string) json_encode(DB::table('entry_links')->get()), 'Only a hash is kept.');
        self::assertStringNotContainsString($link, (string) json_encode(DB::table('audit')->get()), 'No link is written down.');

        $this->app['auth']->forgetGuards();
        $this->postJson('/api/v1/welcome/read', ['link' => $link])->assertOk()->assertJson(['name' => 'Wren Sedge']);
        $this->postJson('/api/v1/welcome', ['link' => $link, 'new_password' => 'short'])->assertUnprocessable();
        $this->postJson('/api/v1/welcome', ['link' => $link, 'new_password' => self::PASSWORD])->assertOk();
        $this->postJson('/api/v1/welcome', ['link' => $link, 'new_password' => self::PASSWORD])->assertUnprocessable();

        $this->signInAs($email, self::PASSWORD)->assertOk()->assertJsonPath('person.may_make_studies', false);
        $this->getJson("/api/v1/studies/{$study->slug}")->assertOk();
        $this->postJson('/api/v1/studies', ['slug' => 'no-'.getmypid(), 'domain' => 'quillfair.example'])->assertForbidden();
    }

    public function test_a_link_ends_after_three_days_and_when_another_is_made(): void
    {
        $administrator = $this->makeUser(true);
        $person = $this->makeUser();
        $first = $this->linkOf($this->actingAs($administrator)->postJson("/api/v1/people/{$person->id}/link")->assertCreated());
        $second = $this->linkOf($this->postJson("/api/v1/people/{$person->id}/link")->assertCreated());
        $this->postJson('/api/v1/welcome/read', ['link' => $first])->assertUnprocessable();
        $this->postJson('/api/v1/welcome/read', ['link' => $second])->assertOk();
        $this->travel(73)->hours();
        $this->postJson('/api/v1/welcome/read', ['link' => $second])->assertUnprocessable();
    }

    public function test_who_is_shut_out_is_out_at_once_and_comes_back_when_let_in(): void
    {
        $person = $this->makeUser();
        $token = $person->createToken('nightly', ['read'])->plainTextToken;
        $administrator = $this->makeUser(true);
        $this->actingAs($administrator)->patchJson("/api/v1/people/{$person->id}", ['is_disabled' => true])->assertOk();
        $this->actingAs($person->refresh())->getJson('/api/v1/studies')->assertUnauthorized();
        $this->signInAs($person->email, 'correct horse')->assertUnprocessable();
        $this->getJson('/api/v1/studies', ['Authorization' => "Bearer {$token}"])->assertUnauthorized();
        $this->actingAs($administrator)->patchJson("/api/v1/people/{$person->id}", ['is_disabled' => false])->assertOk();
        $this->signInAs($person->email, 'correct horse')->assertOk();
    }

    public function test_only_administrators_manage_people_and_one_of_them_always_stays(): void
    {
        $person = $this->makeUser();
        $this->actingAs($person)->getJson('/api/v1/people')->assertForbidden();
        $this->patchJson("/api/v1/people/{$person->id}", ['is_administrator' => true])->assertForbidden();
        $this->deleteJson("/api/v1/people/{$person->id}")->assertForbidden();
        self::assertFalse($person->refresh()->is_administrator);
        User::query()->where('is_administrator', true)->update(['is_administrator' => false]);
        $administrator = $this->makeUser(true);
        $this->actingAs($administrator)->patchJson("/api/v1/people/{$administrator->id}", ['is_disabled' => true])->assertUnprocessable();
        $this->patchJson("/api/v1/people/{$administrator->id}", ['is_administrator' => false])->assertUnprocessable();
        $this->deleteJson("/api/v1/people/{$person->id}")->assertOk();
        $names = array_column((array) $this->getJson('/api/v1/people')->assertOk()->json(), 'email');
        self::assertContains($administrator->email, $names);
        self::assertNotContains($person->email, $names);
    }

    public function test_a_second_factor_is_asked_for_and_no_code_holds_twice(): void
    {
        $person = $this->makeUser();
        $secret = $this->actingAs($person)->postJson('/api/v1/second-factor')->assertCreated()->json('secret');
        $this->signInAs($person->email, 'correct horse')->assertOk();
        $totp = Totp::ofSecret((string) $secret);
        $this->putJson('/api/v1/second-factor', ['code' => '000000'])->assertUnprocessable();
        $code = $totp->at(now()->getTimestamp());
        $codes = $this->putJson('/api/v1/second-factor', ['code' => $code])->assertOk()->json('recovery_codes');
        $this->travel(61)->seconds();
        $this->signInAs($person->email, 'correct horse')->assertUnprocessable()->assertJsonStructure(['errors' => ['code']]);
        $this->signInAs($person->email, 'wrong horse', $totp->at(now()->getTimestamp()))->assertUnprocessable()
            ->assertJsonMissingPath('errors.code');
        $code = $totp->at(now()->getTimestamp());
        $this->signInAs($person->email, 'correct horse', $code)->assertOk();
        $this->signInAs($person->email, 'correct horse', $code)->assertUnprocessable();
        $this->travel(61)->seconds();
        $this->signInAs($person->email, 'correct horse', $codes[3])->assertOk();
        $this->signInAs($person->email, 'correct horse', $codes[3])->assertUnprocessable();
        $stored = DB::table('users')->where('id', $person->id)->first(['totp_secret', 'recovery_codes']);
        self::assertStringNotContainsString((string) $secret, (string) json_encode($stored));
        self::assertStringNotContainsString($codes[4], (string) json_encode($stored));
        $this->travel(61)->seconds();
        $this->actingAs($person->refresh())->deleteJson('/api/v1/second-factor', ['password' => 'wrong'])->assertUnprocessable();
        $this->deleteJson('/api/v1/second-factor', ['password' => 'correct horse'])->assertOk();
        $this->signInAs($person->email, 'correct horse')->assertOk();
    }

    public function test_administrators_who_need_a_second_factor_do_nothing_before_they_have_it(): void
    {
        config(['reach.administrators_need_second_factor' => true]);
        $administrator = $this->makeUser(true);
        $this->actingAs($administrator)->getJson('/api/v1/session')->assertOk()->assertJsonPath('person.lacks_second_factor', true);
        $this->getJson('/api/v1/studies')->assertForbidden();
        $secret = (string) $this->postJson('/api/v1/second-factor')->assertCreated()->json('secret');
        $this->putJson('/api/v1/second-factor', ['code' => Totp::ofSecret($secret)->at(now()->getTimestamp())])->assertOk();
        $this->actingAs($administrator->refresh())->getJson('/api/v1/studies')->assertOk();
        $this->actingAs($this->makeUser(true))->deleteJson("/api/v1/people/{$administrator->id}/second-factor")->assertForbidden();
        $this->actingAs($administrator)->deleteJson("/api/v1/people/{$administrator->id}/second-factor")->assertOk();
        self::assertFalse($administrator->refresh()->hasSecondFactor());
    }

    public function test_a_person_sees_where_he_is_signed_in_and_ends_the_others(): void
    {
        $person = $this->makeUser();
        $this->signInAs($person->email, 'correct horse')->assertOk();
        DB::table('sessions')->insert([
            'id' => 'other-'.$person->id, 'user_id' => $person->id, 'ip_address' => '192.0.2.7', 'user_agent' => 'Another browser',
            'payload' => '', 'last_activity' => now()->getTimestamp(),
        ]);
        $listed = (array) $this->getJson('/api/v1/sessions')->assertOk()->json();
        self::assertContains('192.0.2.7', array_column($listed, 'from'));
        self::assertStringNotContainsString('other-'.$person->id, (string) json_encode($listed), 'What it is known by is not told.');
        $this->deleteJson('/api/v1/sessions')->assertOk();
        self::assertSame(0, DB::table('sessions')->where('id', 'other-'.$person->id)->count());
    }

    public function test_an_administrator_ends_all_sessions_and_tokens_of_a_person_and_of_nobody_else(): void
    {
        [$person, $other] = [$this->makeUser(), $this->makeUser()];
        foreach ([$person, $other] as $one) {
            $one->createToken('nightly', ['read']);
            DB::table('sessions')->insert([
                'id' => 'at-'.$one->id, 'user_id' => $one->id, 'payload' => '', 'last_activity' => now()->getTimestamp(),
            ]);
        }
        $this->actingAs($other)->deleteJson("/api/v1/people/{$person->id}/sessions")->assertForbidden();
        self::assertSame([1, 1], $this->heldBy($person), 'Nothing is ended by who may not.');
        $this->actingAs($this->makeUser(true))->deleteJson("/api/v1/people/{$person->id}/sessions")->assertOk();
        self::assertSame([0, 0], $this->heldBy($person));
        self::assertNotContains(0, $this->heldBy($other));
    }

    /** @return array{int, int} sessions and tokens */
    private function heldBy(User $person): array
    {
        return [DB::table('sessions')->where('user_id', $person->id)->count(), $person->tokens()->count()];
    }
}
