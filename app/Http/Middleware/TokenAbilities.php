<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/** A token reads or writes only as far as it was given; what its person may do in a study holds beside that. */
final class TokenAbilities
{
    public const READ = 'read';
    public const WRITE = 'write';

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $ability = $request->isMethodSafe() ? self::READ : self::WRITE;
        if (self::isByToken() && $request->user()?->tokenCan($ability) !== true) {
            throw new AccessDeniedHttpException(sprintf('This token can’t %s.', $ability));
        }

        return $next($request);
    }

    /** Whether a token speaks, and not someone who is signed in. */
    public static function isByToken(): bool
    {
        return Auth::guard('web')->guest();
    }
}
