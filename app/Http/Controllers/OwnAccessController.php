<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\OwnSessions;
use App\Actions\People\SecondFactor;
use App\Http\Middleware\TokenAbilities;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/** How a person gets in: where he is signed in, and what is asked for beside the password. Never by a token. */
final class OwnAccessController extends Controller
{
    public function sessions(Request $request, OwnSessions $sessions): JsonResponse
    {
        return new JsonResponse($sessions->list(self::person($request), $request->session()->getId()));
    }

    /** All but the one that asks. */
    public function endSessions(Request $request, OwnSessions $sessions): JsonResponse
    {
        return new JsonResponse(['gone' => $sessions->endOthers(self::person($request), $request->session()->getId())]);
    }

    public function beginFactor(Request $request, SecondFactor $factor): JsonResponse
    {
        return new JsonResponse($factor->begin(self::person($request)), 201);
    }

    public function confirmFactor(Request $request, SecondFactor $factor): JsonResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:40']]);

        return new JsonResponse(['recovery_codes' => $factor->confirm(self::person($request), $request->string('code')->value())]);
    }

    public function removeFactor(Request $request, SecondFactor $factor): JsonResponse
    {
        $user = self::person($request);
        $request->validate(['password' => ['required', 'string', 'max:4096']]);
        if (! Hash::check($request->string('password')->value(), (string) $user->getAuthPassword())) {
            throw ValidationException::withMessages(['password' => 'The password is wrong.']);
        }
        $factor->remove($user);

        return new JsonResponse(['person' => SessionController::person($user)]);
    }

    private static function person(Request $request): User
    {
        $user = $request->user();
        if (! $user instanceof User || TokenAbilities::isByToken()) {
            throw new AccessDeniedHttpException('Sign in to see or change your sign-in settings.');
        }

        return $user;
    }
}
