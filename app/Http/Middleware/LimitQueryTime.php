<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Requests\CancelAbandonedQueries;
use App\Http\Controllers\HealthController;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * No request makes the database think longer than it may, and the database knows whose question it is thinking about, so that
 * it can be stopped when that person has gone (see `CancelAbandonedQueries`).
 */
final class LimitQueryTime
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if ($request->is(HealthController::PATH)) {
            return $next($request);
        }
        // A change is brought to its end even when no one waits for it any longer.
        $name = $request->isMethodSafe() ? CancelAbandonedQueries::NAME : 'change';
        DB::statement(
            sprintf(
                "SELECT set_config('statement_timeout', '%ds', false), set_config('application_name', '%s %d', false)",
                config()->integer('reach.longest_question'),
                $name,
                $request->server->getInt('REMOTE_PORT'),
            ),
        );

        return $next($request);
    }

    /** Whatever the process does next is no question of this request. */
    public function terminate(Request $request): void
    {
        if ($request->is(HealthController::PATH)) {
            return;
        }
        DB::statement("SELECT set_config('statement_timeout', '0', false), set_config('application_name', '', false)");
    }
}
