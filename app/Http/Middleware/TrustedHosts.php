<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** Answers only under the names that it serves, so that no page of another name, made to point here, can speak for it. */
final class TrustedHosts
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $host = (string) parse_url('http://'.$request->headers->get('Host', ''), PHP_URL_HOST);
        if (! \in_array(mb_strtolower($host), config()->array('reach.hosts'), true)) {
            throw new BadRequestHttpException('This host name isn’t served here. See REACH_HOSTS.');
        }

        return $next($request);
    }
}
