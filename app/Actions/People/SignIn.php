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

    /**
     * Checks one password hash whether or not the account exists, so that both take equally long.
     *
     * @param array{email: string, password: string} $credentials
     */
    public function execute(array $credentials, string $code): User
    {
        $user = User::query()->where('email', $credentials['email'])->first();
        $isRight = Hash::check($credentials['password'], $user?->getAuthPassword() ?? self::NOBODY);
        if (! $isRight || $user === null || $user->disabled_at !== null) {
            throw ValidationException::withMessages(['email' => 'This email address and password don’t match. Try again.']);
        }
        if ($this->hasFactor($user, $code)) {
            if (Hash::needsRehash((string) $user->getAuthPassword())) {
                $user->update(['password' => $credentials['password']]);
            }
            Auth::guard('web')->login($user);
        }

        return $user;
    }

    private function hasFactor(User $user, string $code): bool
    {
        if (! $user->hasSecondFactor() || ($code !== '' && $this->factor->takes($user, $code))) {
            return true;
        }
        throw ValidationException::withMessages([
            'code' => $code === '' ? 'Enter the code from your authenticator app.' : 'This code is wrong, expired or already used.',
        ]);
    }
}
