<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/** Signs out disabled accounts, and makes administrators set up a second factor first. */
final class EnsureAccountStatus
{
    private const WITHOUT_FACTOR = ['api/v1/session', 'api/v1/second-factor', 'api/v1/signed-in'];

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $user->disabled_at !== null) {
            throw new AuthenticationException();
        }
        if ($user instanceof User && $user->lacksSecondFactor() && ! $request->is(...self::WITHOUT_FACTOR)) {
            throw new AccessDeniedHttpException('Administrators need a second factor. Set it up first.');
        }

        return $next($request);
    }
}
