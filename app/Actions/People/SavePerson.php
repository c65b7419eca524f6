<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Actions\Audit\PreviousValues;
use App\Exceptions\UserError;
use App\Models\Study;
use App\Models\User;
use GreaterReach\Core\Exception\InvalidValue;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Makes a person's account, changes it, or takes it away. There is always an administrator left who was there before. */
final class SavePerson
{
    private const PASSWORD_LENGTH = 20;
    private const LONGEST = 120;

    public function __construct(private readonly PreviousValues $before)
    {
    }

    /** @return ?string the password, told this once; null where the old one stays */
    public function execute(AccountChanges $order): ?string
    {
        return DB::transaction(function () use ($order): ?string {
            $user = self::find($order->email);
            $password = $user === null || $order->wantsNewPassword ? Str::password(self::PASSWORD_LENGTH, symbols: false) : null;
            $user ??= self::make($order);
            if ($order->isAdministrator === false || $order->isDisabled === true) {
                self::keepAnAdministrator($user);
            }
            $user->fill(self::changes($order, $password))->save();
            $this->giveRoles($user, $order->roles);
            if ($order->wantsNewPassword || $order->isDisabled === true) {
                self::signOut($user);
            }

            return $password;
        });
    }

    /** @return array<string, mixed> what is wanted otherwise than it is */
    private static function changes(AccountChanges $order, ?string $password): array
    {
        $changes = array_filter(
            [
                'name' => self::name($order->name),
                'is_administrator' => $order->isAdministrator,
                'may_make_studies' => $order->mayMakeStudies,
                'password' => $password,
            ],
            static fn(mixed $value): bool => $value !== null,
        );

        return $order->isDisabled === null ? $changes : [...$changes, 'disabled_at' => $order->isDisabled ? now() : null];
    }

    /** @param array<string, ?string> $roles study's slug → role; null takes the person out of it */
    private function giveRoles(User $user, array $roles): void
    {
        foreach ($roles as $slug => $role) {
            $study = self::study((string) $slug);
            $held = DB::table('study_members')->where('study_id', $study->id)->where('user_id', $user->id)->value('role');
            $this->before->note("role of {$user->email}", [$study->slug => $held]);
            $role === null
                ? $study->members()->detach($user->id)
                : $study->members()->syncWithoutDetaching([$user->id => ['role' => $role]]);
        }
    }

    /** A new account is asked for; one that is there is not touched. */
    public function invite(AccountChanges $order): User
    {
        return DB::transaction(function () use ($order): User {
            if (self::find($order->email) !== null) {
                $email = InvalidValue::quote($order->email);
                throw UserError::because('email', sprintf('An account with the address "%s" already exists.', $email));
            }
            $this->execute($order);

            return self::known($order->email);
        });
    }

    /** What the person decided stays, without a name beside it. */
    public function remove(string $email): void
    {
        DB::transaction(static function () use ($email): void {
            $user = self::known($email);
            self::keepAnAdministrator($user);
            self::signOut($user);
            $user->delete();
        });
    }

    private static function known(string $email): User
    {
        return self::find($email)
            ?? throw UserError::because('email', sprintf('No account has the address "%s".', InvalidValue::quote($email)));
    }

    private static function find(string $email): ?User
    {
        /** @var ?User $user */
        $user = User::query()->whereRaw('lower(email) = ?', [mb_strtolower($email)])->first();

        return $user;
    }

    private static function make(AccountChanges $order): User
    {
        if (
            filter_var($order->email, FILTER_VALIDATE_EMAIL, FILTER_FLAG_EMAIL_UNICODE) === false ||
            mb_strlen($order->email) > self::LONGEST
        ) {
            throw UserError::because('email', sprintf('"%s" is not an email address.', InvalidValue::quote($order->email)));
        }
        if (self::name($order->name) === null) {
            throw UserError::because('name', 'A new person needs a name. Add --name.');
        }

        return new User(['email' => mb_strtolower($order->email), 'is_administrator' => false]);
    }

    private static function name(?string $name): ?string
    {
        $name = $name === null ? '' : trim((string) preg_replace('/[\p{C}\s]+/u', ' ', $name));
        if (mb_strlen($name) > self::LONGEST) {
            throw UserError::because('name', 'Use at most 120 characters for a name.');
        }

        return $name === '' ? null : $name;
    }

    private static function study(string $slug): Study
    {
        return Study::query()->where('slug', $slug)->first() ??
            throw UserError::because('study', sprintf('No study is called "%s".', InvalidValue::quote($slug)));
    }

    private static function keepAnAdministrator(User $user): void
    {
        if (
            $user->exists &&
            $user->is_administrator &&
            User::query()->where('is_administrator', true)->whereNull('disabled_at')->whereKeyNot($user->id)->lockForUpdate()->doesntExist()
        ) {
            throw UserError::because('administrator', sprintf('%s is the only administrator. Appoint another one first.', $user->email));
        }
    }

    /** Ends all that is signed in, and all that scripts may. */
    public static function signOut(User $user): void
    {
        $user->tokens()->delete();
        DB::table('sessions')->where('user_id', $user->id)->delete();
    }
}
