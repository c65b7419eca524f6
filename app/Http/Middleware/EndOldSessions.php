<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A session ends some hours after its person signed in, however busy it is (OWASP ASVS 4.0.3, 3.3.2). */
final class EndOldSessions
{
    private const SINCE = 'signed_in_at';

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if (TokenAbilities::isByToken()) {
            return $next($request);
        }
        $session = $request->session();
        $since = $session->get(self::SINCE);
        if (! \is_int($since)) {
            $session->put(self::SINCE, $since = now()->getTimestamp());
        }
        if (now()->getTimestamp() - $since > config()->integer('reach.session_hours') * 3600) {
            Auth::guard('web')->logout();
            $session->invalidate();
            throw new AuthenticationException();
        }

        return $next($request);
    }
}
