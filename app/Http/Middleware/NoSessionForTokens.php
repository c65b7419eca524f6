<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A script that shows its token and no cookie needs neither a session nor a cookie back. */
final class NoSessionForTokens
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if (! self::isScript($request)) {
            return $next($request);
        }
        config(['session.driver' => 'array']);
        $response = $next($request);
        foreach ([config()->string('session.cookie'), 'XSRF-TOKEN'] as $cookie) {
            $response->headers->removeCookie($cookie);
        }

        return $response;
    }

    public static function isScript(Request $request): bool
    {
        return $request->bearerToken() !== null && ! $request->hasCookie(config()->string('session.cookie'));
    }
}
