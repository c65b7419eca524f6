<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use Illuminate\Hashing\HashManager;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Changing one's own password, and odd things where a name and a password belong. */
final class PasswordTest extends TestCase
{
    private const OLD = 'correct horse';
    private const NEW = 'a longer way to say it';

    public function test_who_knows_the_old_one_gets_a_new_one(): void
    {
        $user = $this->makeUser();
        $this->actingAs($user)
            ->patchJson('/api/v1/session', ['password' => self::OLD, 'new_password' => self::NEW])
            ->assertOk()
            ->assertJsonPath('person.email', $user->email);
        $this->app->make('auth')->forgetGuards();
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => self::OLD])->assertStatus(422);
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => self::NEW])->assertOk();
    }

    public function test_who_signs_out_is_nobody_again(): void
    {
        $user = $this->makeUser();
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => self::OLD])
            ->assertOk()
            ->assertJsonPath('person.name', $user->name);
        $this->deleteJson('/api/v1/session')->assertOk()->assertJsonPath('person', null);
        $this->getJson('/api/v1/session')->assertOk()->assertJsonPath('person', null);
        $this->getJson('/api/v1/studies')->assertStatus(401)->assertJsonPath('code', 'signed_out');
    }

    public function test_blanks_at_its_ends_belong_to_a_password(): void
    {
        $user = $this->makeUser();
        $this->actingAs($user)->patchJson('/api/v1/session', ['password' => self::OLD, 'new_password' => '  twelve and more '])->assertOk();
        $this->app->make('auth')->forgetGuards();
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'twelve and more'])->assertStatus(422);
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => '  twelve and more '])->assertOk();
    }

    public function test_the_name_of_a_person_is_no_password(): void
    {
        $user = $this->makeUser();
        $name = explode('@', $user->email)[0];
        $this->actingAs($user)
            ->patchJson('/api/v1/session', ['password' => self::OLD, 'new_password' => "{$name} and more"])
            ->assertJsonPath('errors.new_password.0', 'Leave your name and email address out of your password.');
    }

    public function test_a_long_password_is_kept_whole(): void
    {
        $user = $this->makeUser();
        $long = substr(str_repeat('what nobody guesses ', 300), 0, 4090);
        $this->actingAs($user)->patchJson('/api/v1/session', ['password' => self::OLD, 'new_password' => $long.'!'])->assertOk();
        $this->app->make('auth')->forgetGuards();
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => $long.'?'])->assertStatus(422);
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => $long.'!'])->assertOk();
    }

    /** Vector of the reference implementation of Argon2 (P-H-C/phc-winner-argon2, src/test.c, version 0x13, argon2id), from memory. */
    public function test_passwords_are_kept_by_argon2id(): void
    {
        $published = '$argon2id$v=19$m=65536,t=2,p=1$c29tZXNhbHQ$CTFhFdXPJO1aFaMaO6Mm5c8y7cJHAph8ArZWb2GRPPc';
        self::assertTrue(Hash::check('password', $published));
        self::assertFalse(Hash::check('passwort', $published));
        self::assertStringStartsWith('$argon2id$', (string) $this->makeUser()->getAuthPassword());
    }

    public function test_an_older_hash_still_opens_and_is_made_anew(): void
    {
        $user = $this->makeUser();
        DB::table('users')->where('id', $user->id)->update(['password' => password_hash(self::OLD, PASSWORD_BCRYPT, ['cost' => 4])]);
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => self::OLD])->assertOk();
        self::assertStringStartsWith('$argon2id$', (string) $user->refresh()->getAuthPassword());
    }

    public function test_a_session_ends_however_busy_it_is(): void
    {
        $user = $this->makeUser();
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => self::OLD])->assertOk();
        $this->getJson('/api/v1/studies')->assertOk();
        $this->travel(23)->hours();
        $this->getJson('/api/v1/studies')->assertOk();
        $this->travel(2)->hours();
        $this->getJson('/api/v1/studies')->assertStatus(401);
        $this->app->make('auth')->forgetGuards();
        $this->getJson('/api/v1/studies')->assertStatus(401);
    }

    public function test_who_asks_without_end_is_told_when_to_come_back(): void
    {
        config(['reach.requests_a_minute' => 3]);
        [$user, $other] = [$this->makeUser(), $this->makeUser()];
        foreach ([200, 200, 200, 429] as $status) {
            $answer = $this->actingAs($user)->getJson('/api/v1/studies')->assertStatus($status);
        }
        self::assertGreaterThan(0, (int) $answer->headers->get('Retry-After'));
        $this->actingAs($other)->getJson('/api/v1/studies')->assertOk();
    }

    public function test_sessions_on_other_machines_end(): void
    {
        [$user, $other] = [$this->makeUser(), $this->makeUser()];
        foreach ([$user, $other] as $person) {
            DB::table('sessions')->insert([
                'id' => 'elsewhere-'.$person->id,
                'user_id' => $person->id,
                'payload' => '',
                'last_activity' => time(),
            ]);
        }
        $this->actingAs($user)
            ->patchJson('/api/v1/session', ['password' => self::OLD, 'new_password' => self::NEW])
            ->assertOk();
        self::assertFalse(
            DB::table('sessions')
                ->where('id', 'elsewhere-'.$user->id)
                ->exists(),
        );
        self::assertTrue(
            DB::table('sessions')
                ->where('id', 'elsewhere-'.$other->id)
                ->exists(),
            'Nobody else is signed out.',
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is sent, the field that is named */
    public static function refused(): iterable
    {
        yield 'the wrong old one' => [['password' => 'wrong', 'new_password' => self::NEW], 'password'];
        yield 'no old one' => [['new_password' => self::NEW], 'password'];
        yield 'a short new one' => [['password' => self::OLD, 'new_password' => 'short'], 'new_password'];
        yield 'the same again' => [['password' => self::OLD, 'new_password' => self::OLD], 'new_password'];
        yield 'one without end' => [['password' => self::OLD, 'new_password' => str_repeat('long and winding ', 300)], 'new_password'];
        yield 'one of the commonest' => [['password' => self::OLD, 'new_password' => 'ContortionIst'], 'new_password'];
        yield 'few signs' => [['password' => self::OLD, 'new_password' => 'aaaaaaabbbbbbb'], 'new_password'];
        yield 'a list' => [['password' => [self::OLD], 'new_password' => [self::NEW]], 'password'];
        yield 'a number' => [['password' => 1, 'new_password' => 123456789012], 'new_password'];
        yield 'nothing' => [[], 'new_password'];
    }

    /** @param array<string, mixed> $sent */
    #[DataProvider('refused')]
    public function test_what_is_refused_names_its_field_and_changes_nothing(array $sent, string $field): void
    {
        $user = $this->makeUser();
        $answer = $this->actingAs($user)->patchJson('/api/v1/session', $sent)->assertStatus(422);
        self::assertArrayHasKey($field, $answer->json('errors'));
        $this->app->make('auth')->forgetGuards();
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => self::OLD])->assertOk();
    }

    public function test_guessing_the_old_one_is_throttled_per_person(): void
    {
        [$user, $other] = [$this->makeUser(), $this->makeUser()];
        for ($attempt = 0; $attempt < 5; ++$attempt) {
            $this->actingAs($user)
                ->patchJson('/api/v1/session', ['password' => "guess {$attempt}", 'new_password' => self::NEW])
                ->assertStatus(422);
        }
        $this->actingAs($user)
            ->patchJson('/api/v1/session', ['password' => self::OLD, 'new_password' => self::NEW])
            ->assertStatus(429);
        $this->actingAs($other)
            ->patchJson('/api/v1/session', ['password' => self::OLD, 'new_password' => self::NEW])
            ->assertOk();
    }

    public function test_a_token_changes_no_password(): void
    {
        $user = $this->makeUser();
        $token = $user->createToken('script', ['read', 'write'])->plainTextToken;
        $this->withToken($token)->patchJson('/api/v1/session', ['password' => self::OLD, 'new_password' => self::NEW])->assertStatus(403);
    }

    /** @return iterable<string, array{mixed}> */
    public static function oddities(): iterable
    {
        yield 'nothing' => [null];
        yield 'a list' => [['a', 'b']];
        yield 'a list of lists' => [[['a']]];
        yield 'a number' => [12];
        yield 'yes' => [true];
        yield 'a very long text' => [str_repeat('x', 100_000)];
        yield 'an empty text' => [''];
    }

    #[DataProvider('oddities')]
    public function test_signing_in_with_odd_things_is_refused(mixed $odd): void
    {
        $user = $this->makeUser();
        foreach (
            [
                ['email' => $odd, 'password' => self::OLD],
                ['email' => $user->email, 'password' => $odd],
                ['email' => $odd, 'password' => $odd],
            ] as $sent
        ) {
            self::assertContains($this->postJson('/api/v1/session', $sent)->getStatusCode(), [422, 429]);
        }
        self::assertGuest();
    }

    public function test_a_name_that_nobody_has_costs_as_much_as_one_that_somebody_has(): void
    {
        $hasher = new class ($this->app) extends HashManager {
            /** @var list<mixed> algorithms */
            public array $looked = [];

            /** @param array<mixed> $options */
            public function check($value, $hashedValue, array $options = []): bool
            {
                $this->looked[] = password_get_info($hashedValue)['algo'];

                return false;
            }
        };
        $known = $this->makeUser()->email;
        Hash::swap($hasher);
        $seen = [];
        foreach ([$known, 'nobody-'.getmypid().'@quillfair.example'] as $name) {
            $hasher->looked = [];
            $this->app['auth']->forgetGuards();
            $this->postJson('/api/v1/session', ['email' => $name, 'password' => 'not this one 12'])->assertUnprocessable();
            $seen[] = $hasher->looked;
        }
        self::assertCount(1, $seen[0]);
        self::assertSame($seen[0], $seen[1]);
    }
}
