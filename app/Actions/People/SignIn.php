<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** Lets in who knows name and password, and has the second factor where there is one. */
final readonly class SignIn
{
    /** Of a password that was thrown away; as dear to look at as those of config/hashing.php. */
    private const NOBODY = '$argon2id$v=19$m=19456,t=2,p=1$SVVtWXgyMGFoUnFGTWIuTA$r17Z6RPkhv2omY2aNqhcr8d5N6Ob08jmUDa/zOKS42k';

    public function __construct(private SecondFactor $factor)
    {
    }

    /** @param array{email: string, password: string} $credentials */
    public function execute(array $credentials, string $code): User
    {
        self::takeAsLong($credentials);
        $isKnown = Auth::guard('web')->attemptWhen(
            $credentials,
            fn(User $user): bool => $user->disabled_at === null && $this->hasFactor($user, $code),
        );
        $user = $isKnown ? Auth::guard('web')->user() : null;
        if (! $user instanceof User) {
            throw ValidationException::withMessages(['email' => 'Name and password do not belong together.']);
        }

        return $user;
    }

    /**
     * A name that nobody has takes as long as one that somebody has: a password is held against a hash for either.
     *
     * @param array{email: string, password: string} $credentials
     */
    private static function takeAsLong(array $credentials): void
    {
        if (! User::query()->where('email', $credentials['email'])->exists()) {
            Hash::check($credentials['password'], self::NOBODY);
        }
    }

    private function hasFactor(User $user, string $code): bool
    {
        if (! $user->hasSecondFactor() || ($code !== '' && $this->factor->takes($user, $code))) {
            return true;
        }
        throw ValidationException::withMessages([
            'code' => $code === '' ? 'Type the code that your authenticator shows.' : 'This code does not hold now, or was used before.',
        ]);
    }
}
