<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Exceptions\Refused;
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

    /** @return ?string the password, told this once; null where the old one stays */
    public function execute(PersonOrder $order): ?string
    {
        return DB::transaction(function () use ($order): ?string {
            $user = self::find($order->email);
            $password = $user === null || $order->wantsNewPassword ? Str::password(self::PASSWORD_LENGTH, symbols: false) : null;
            $user ??= self::make($order);
            if ($order->isAdministrator === false) {
                self::keepAnAdministrator($user);
            }
            $user
                ->fill(
                    array_filter(
                        ['name' => self::name($order->name), 'is_administrator' => $order->isAdministrator, 'password' => $password],
                        static fn(mixed $value): bool => $value !== null,
                    ),
                )
                ->save();
            foreach ($order->roles as $slug => $role) {
                $study = self::study((string) $slug);
                $role === null
                    ? $study->members()->detach($user->id)
                    : $study->members()->syncWithoutDetaching([$user->id => ['role' => $role]]);
            }
            if ($order->wantsNewPassword) {
                self::signOut($user);
            }

            return $password;
        });
    }

    /** What the person decided stays, without a name beside it. */
    public function remove(string $email): void
    {
        DB::transaction(static function () use ($email): void {
            $user =
                self::find($email) ?? throw Refused::because('email', sprintf('Nobody has the address "%s".', InvalidValue::quote($email)));
            self::keepAnAdministrator($user);
            self::signOut($user);
            $user->delete();
        });
    }

    private static function find(string $email): ?User
    {
        /** @var ?User $user */
        $user = User::query()->whereRaw('lower(email) = ?', [mb_strtolower($email)])->first();

        return $user;
    }

    private static function make(PersonOrder $order): User
    {
        if (
            filter_var($order->email, FILTER_VALIDATE_EMAIL, FILTER_FLAG_EMAIL_UNICODE) === false ||
            mb_strlen($order->email) > self::LONGEST
        ) {
            throw Refused::because('email', sprintf('"%s" is no e-mail address.', InvalidValue::quote($order->email)));
        }
        if (self::name($order->name) === null) {
            throw Refused::because('name', 'A new person needs a name; give --name.');
        }

        return new User(['email' => mb_strtolower($order->email), 'is_administrator' => false]);
    }

    private static function name(?string $name): ?string
    {
        $name = $name === null ? '' : trim((string) preg_replace('/[\p{C}\s]+/u', ' ', $name));
        if (mb_strlen($name) > self::LONGEST) {
            throw Refused::because('name', 'A name has at most 120 characters.');
        }

        return $name === '' ? null : $name;
    }

    private static function study(string $slug): Study
    {
        return Study::query()->where('slug', $slug)->first() ??
            throw Refused::because('study', sprintf('There is no study "%s".', InvalidValue::quote($slug)));
    }

    private static function keepAnAdministrator(User $user): void
    {
        if (
            $user->exists &&
            $user->is_administrator &&
            User::query()->where('is_administrator', true)->whereKeyNot($user->id)->lockForUpdate()->doesntExist()
        ) {
            throw Refused::because('administrator', sprintf('%s is the only administrator; make another one first.', $user->email));
        }
    }

    private static function signOut(User $user): void
    {
        $user->tokens()->delete();
        DB::table('sessions')->where('user_id', $user->id)->delete();
    }
}
