<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Accounts from the command line: made, given roles, given a new password, taken away. */
final class PersonTest extends TestCase
{
    private static int $number = 0;

    public function test_a_new_person_signs_in_with_the_password_that_was_printed(): void
    {
        $study = $this->makeStudy();
        [$email, $password] = $this->made(['--editor' => [$study->slug]]);
        self::assertMatchesRegularExpression('/^[A-Za-z0-9]{20}$/', $password);
        self::assertStringNotContainsString($password, (string) User::query()->where('email', $email)->value('password'));
        $this->postJson('/api/v1/session', ['email' => $email, 'password' => $password])
            ->assertOk()
            ->assertJsonPath('person.name', 'Wren Hollis');
        $this->getJson("/api/v1/studies/{$study->slug}")
            ->assertOk()
            ->assertJsonPath('may_edit', true);
    }

    public function test_roles_are_given_changed_and_taken(): void
    {
        [$one, $other] = [$this->makeStudy(), $this->makeStudy()];
        [$email] = $this->made(['--reader' => [$one->slug, $other->slug]]);
        $user = User::query()->where('email', $email)->firstOrFail();
        $sees = fn(string $slug): array => [
            $this->actingAs($user->refresh())
                ->getJson("/api/v1/studies/{$slug}")
                ->getStatusCode(),
            $this->actingAs($user)
                ->patchJson("/api/v1/studies/{$slug}", ['name' => 'Pens'])
                ->getStatusCode(),
        ];
        self::assertSame([[200, 403], [200, 403]], [$sees($one->slug), $sees($other->slug)]);
        self::assertSame(
            [0, "{$email} is changed.\n"],
            $this->command('reach:person', ['email' => strtoupper($email), '--editor' => [$one->slug], '--leave' => [$other->slug]]),
        );
        self::assertSame([[200, 200], [404, 404]], [$sees($one->slug), $sees($other->slug)]);
        $this->command('reach:person', ['email' => $email, '--administrator' => 'yes']);
        self::assertSame([200, 200], $sees($other->slug), 'An administrator sees and changes everything.');
    }

    public function test_a_new_password_ends_whatever_is_signed_in(): void
    {
        [$email, $old] = $this->made();
        $user = User::query()->where('email', $email)->firstOrFail();
        $token = $user->createToken('script', ['read'])->plainTextToken;
        DB::table('sessions')->insert(['id' => 'session-'.$user->id, 'user_id' => $user->id, 'payload' => '', 'last_activity' => time()]);
        [$code, $printed] = $this->command('reach:person', ['email' => $email, '--new-password' => true]);
        self::assertSame(0, $code);
        $new = substr(trim($printed), -20);
        self::assertNotSame($old, $new);
        $this->postJson('/api/v1/session', ['email' => $email, 'password' => $old])->assertStatus(422);
        $this->withToken($token)->getJson('/api/v1/studies')->assertStatus(401);
        $this->withoutToken()->postJson('/api/v1/session', ['email' => $email, 'password' => $new])->assertOk();
        self::assertFalse(DB::table('sessions')->where('id', 'session-'.$user->id)->exists());
    }

    public function test_who_is_taken_away_leaves_what_was_decided(): void
    {
        $study = $this->makeStudy();
        [$email] = $this->made(['--editor' => [$study->slug]]);
        $user = User::query()->where('email', $email)->firstOrFail();
        DB::table('decisions')->insert([
            'study_id' => $study->id,
            'keyword' => 'pen',
            'mark' => 'shortlisted',
            'reason' => 'ours',
            'updated_by' => $user->id,
        ]);
        self::assertSame(
            [0, "Deleted the account of {$email}.\n"],
            $this->command('reach:person', ['email' => $email, '--remove' => true]),
        );
        self::assertNull($user->fresh());
        self::assertSame('ours', DB::table('decisions')->where('study_id', $study->id)->where('keyword', 'pen')->value('reason'));
        self::assertSame(1, $this->command('reach:person', ['email' => $email, '--remove' => true])[0], 'Gone is gone.');
    }

    public function test_the_only_administrator_stays_one(): void
    {
        User::query()->where('is_administrator', true)->update(['is_administrator' => false]);
        [$email] = $this->made(['--administrator' => 'yes']);
        foreach ([['--administrator' => 'no'], ['--remove' => true]] as $options) {
            [$code, $printed] = $this->command('reach:person', ['email' => $email, ...$options]);
            self::assertSame(1, $code);
            self::assertStringContainsString('only administrator', $printed);
        }
        self::assertTrue(User::query()->where('email', $email)->firstOrFail()->is_administrator);
        $this->made(['--administrator' => 'yes']);
        self::assertSame(
            0,
            $this->command('reach:person', ['email' => $email, '--administrator' => 'no'])[0],
            'With another one there, this one may go.',
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, int, string}> address, options, exit code, what is said */
    public static function refused(): iterable
    {
        yield 'no address' => ['wren', ['--name' => 'Wren'], 1, 'not an email address'];
        yield 'an address with a line break' => ["wren@quillfair.example\nbcc", ['--name' => 'Wren'], 1, 'not an email address'];
        yield 'no name' => ['nobody@quillfair.example', [], 1, 'needs a name'];
        yield 'a name of blanks' => ['nobody@quillfair.example', ['--name' => "  \u{200b} "], 1, 'needs a name'];
        yield 'a name without end' => ['nobody@quillfair.example', ['--name' => str_repeat('Wren', 40)], 1, 'at most 120'];
        yield 'a study that is not there' => ['nobody@quillfair.example', ['--name' => 'Wren', '--editor' => ['nowhere']], 1, '"nowhere"'];
        yield 'neither yes nor no' => ['nobody@quillfair.example', ['--name' => 'Wren', '--administrator' => 'maybe'], 2, 'yes, no'];
    }

    /** @param array<string, mixed> $options */
    #[DataProvider('refused')]
    public function test_what_is_refused_makes_nobody(string $email, array $options, int $code, string $says): void
    {
        $before = User::query()->count();
        [$exit, $printed] = $this->command('reach:person', ['email' => $email, ...$options]);
        self::assertSame($code, $exit, $printed);
        self::assertStringContainsString($says, $printed);
        self::assertSame($before, User::query()->count());
    }

    /**
     * @param array<string, mixed> $options
     *
     * @return array{string, string} address, password
     */
    private function made(array $options = []): array
    {
        $email = 'wren'.(++self::$number).'@quillfair.example';
        [$code, $printed] = $this->command('reach:person', ['email' => $email, '--name' => 'Wren Hollis', ...$options]);
        self::assertSame(0, $code, $printed);

        return [$email, substr(trim($printed), -20)];
    }
}
