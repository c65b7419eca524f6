<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\TokenAbilities;
use App\Models\User;
use App\Support\Texts;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/** A person's own tokens for scripts. Creating or revoking tokens needs a signed-in session. */
final class TokenController extends Controller
{
    private const LONGEST_DAYS = 366;

    public function index(Request $request): JsonResponse
    {
        $tokens = $this->person($request)->tokens()->orderBy('id')->get(['id', 'name', 'abilities', 'last_used_at', 'expires_at']);

        return new JsonResponse($tokens->toArray());
    }

    /** The token itself is told this once; only its hash is kept. */
    public function store(Request $request): JsonResponse
    {
        $request->validate([
            'name' => ['required', 'string', 'max:80'],
            'abilities' => ['required', 'array', 'min:1'],
            'abilities.*' => ['in:'.TokenAbilities::READ.','.TokenAbilities::WRITE],
            'days' => ['required', 'integer', 'min:1', 'max:'.self::LONGEST_DAYS],
        ]);
        $made = $this->person($request)->createToken(
            $request->string('name')->trim()->value(),
            Texts::list($request->array('abilities')),
            Carbon::now()->addDays($request->integer('days')),
        );

        return new JsonResponse(['id' => $made->accessToken->getKey(), 'token' => $made->plainTextToken], 201);
    }

    public function destroy(Request $request, int $token): JsonResponse
    {
        $this->person($request)->tokens()->where('id', $token)->firstOrFail()->delete();

        return new JsonResponse(['gone' => $token]);
    }

    private function person(Request $request): User
    {
        $user = $request->user();
        if (! $user instanceof User || TokenAbilities::isByToken()) {
            throw new AccessDeniedHttpException('Sign in to see, create or revoke tokens.');
        }

        return $user;
    }
}
