<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;

/**
 * Forged requests ride on a browser's cookie. A script that shows its token and has no such cookie cannot be ridden, so it
 * needs no second sign; everybody else does.
 */
final class CsrfUnlessToken extends ValidateCsrfToken
{
    /** The signature of the link to end a digest is proof enough, and a mail program that follows it has no session (RFC 8058).
     *
     * @var array<int, string> */
    protected $except = ['digest/*'];

    /** @param Request $request */
    protected function inExceptArray($request): bool
    {
        return NoSessionForTokens::isScript($request) || parent::inExceptArray($request);
    }
}
