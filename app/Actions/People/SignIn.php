<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Lets in who knows name and password, and has the second factor where there is one. */
final readonly class SignIn
{
    public function __construct(private SecondFactor $factor)
    {
    }

    /** @param array{email: string, password: string} $credentials */
    public function execute(array $credentials, string $code): User
    {
        // It takes as long for a name that nobody has.
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
