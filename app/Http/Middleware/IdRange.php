<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Exceptions\InvalidReference;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;

/** Refuses numbers in an address that no record can have: those of the database end at 2⁶³ - 1. */
final class IdRange
{
    /** Any number of so many digits is smaller. */
    private const DIGITS = 18;

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $route = $request->route();
        foreach ($route instanceof Route ? $route->originalParameters() : [] as $value) {
            if (\is_string($value) && \strlen($value) > self::DIGITS && ctype_digit($value)) {
                throw InvalidReference::number();
            }
        }

        return $next($request);
    }
}
