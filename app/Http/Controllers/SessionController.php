<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\ChangePassword;
use App\Http\Middleware\TokenAbilities;
use App\Http\Requests\SignInRequest;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

final class SessionController
{
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(['person' => self::person($request->user())]);
    }

    public function store(SignInRequest $request): JsonResponse
    {
        if (! Auth::attempt($request->credentials())) {
            throw ValidationException::withMessages(['email' => 'Name and password do not belong together.']);
        }
        $request->session()->regenerate();

        return new JsonResponse(['person' => self::person($request->user())]);
    }

    /** A token cannot change its owner's password: that needs somebody who is signed in. */
    public function update(Request $request, ChangePassword $change): JsonResponse
    {
        $user = $request->user();
        if (!($user instanceof User) || TokenAbilities::isByToken()) {
            throw new AccessDeniedHttpException('Sign in to change your password.');
        }
        $request->validate([
            'password' => ['required', 'string', 'max:200'],
            'new_password' => ['required', 'string', 'min:12', 'max:200', 'different:password'],
        ]);
        $change->execute(
            $user,
            $request->string('password')->value(),
            $request->string('new_password')->value(),
            $request->session()->getId(),
        );

        return new JsonResponse(['person' => self::person($user)]);
    }

    public function destroy(Request $request): JsonResponse
    {
        if (! TokenAbilities::isByToken()) {
            Auth::logout();
        }
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(['person' => null]);
    }

    /** @return ?array{name: string, email: string, is_administrator: bool} */
    private static function person(?User $user): ?array
    {
        return $user === null ? null : ['name' => $user->name, 'email' => $user->email, 'is_administrator' => $user->is_administrator];
    }
}
