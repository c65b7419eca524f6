<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Jobs\PrepareReview;
use App\Models\Study;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Prepares the month in review after the response, when a study was opened or changed. */
final class PrepareReviewAfterResponse
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        return $next($request);
    }

    public function terminate(Request $request, Response $response): void
    {
        $study = $request->route('study');
        if ($study instanceof Study && $response->isSuccessful()) {
            PrepareReview::dispatch($study->id);
        }
    }
}
