<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\ChangePassword;
use App\Actions\People\PasswordRule;
use App\Actions\People\SignIn;
use App\Http\Middleware\AuditRequests;
use App\Http\Middleware\TokenAbilities;
use App\Http\Requests\SignInRequest;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

final class SessionController
{
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(['person' => self::person($request->user())]);
    }

    /** Asked by the web server before it reads a large file; who is not signed in does not come here. */
    public function isSignedIn(): JsonResponse
    {
        return new JsonResponse(['signed_in' => true]);
    }

    public function store(SignInRequest $request, SignIn $signIn): JsonResponse
    {
        $user = $signIn->execute($request->credentials(), $request->string('code')->trim()->value());
        $request->session()->regenerate();

        return new JsonResponse(['person' => self::person($user)]);
    }

    /** A token cannot change its owner's password: that needs someone who is signed in. */
    public function update(Request $request, ChangePassword $change): JsonResponse
    {
        $user = $request->user();
        if (!($user instanceof User) || TokenAbilities::isByToken()) {
            throw new AccessDeniedHttpException('Sign in to change your password.');
        }
        $request->validate([
            'password' => ['required', 'string', 'max:'.PasswordRule::LONGEST_BYTES],
            'end_tokens' => ['boolean'],
            'new_password' => ['required', 'string', 'different:password', PasswordRule::for($user)],
        ]);
        $change->execute(
            $user,
            $request->string('password')->value(),
            $request->string('new_password')->value(),
            $request->session()->getId(),
            $request->boolean('end_tokens'),
        );

        return new JsonResponse(['person' => self::person($user)]);
    }

    public function destroy(Request $request): JsonResponse
    {
        if (! TokenAbilities::isByToken()) {
            $request->attributes->set(AuditRequests::LEAVING, $request->user());
            Auth::logout();
        }
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(['person' => null]);
    }

    /** @return ?array<string, mixed> */
    public static function person(?User $user): ?array
    {
        return $user === null ? null : [
            'name' => $user->name,
            'email' => $user->email,
            'is_administrator' => $user->is_administrator,
            'may_make_studies' => $user->maySetUpStudies(),
            'has_second_factor' => $user->hasSecondFactor(),
            'lacks_second_factor' => $user->lacksSecondFactor(),
        ];
    }
}
