<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Study;
use App\Models\User;
use App\Support\LastChange;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * Where there is a standby of the database, questions that change nothing are put to it, but never those of a person who has just changed
 * something. Where it does not answer, the first one does.
 */
final class ReadFromReplica
{
    private const CONNECTION = LastChange::STANDBY;

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if (! LastChange::matters() || ! $user instanceof User || LastChange::isFresh($user->id) || ! self::answers($request)) {
            return $next($request);
        }
        $first = DB::getDefaultConnection();
        DB::setDefaultConnection(self::CONNECTION);
        try {
            return $next($request);
        } finally {
            DB::setDefaultConnection($first);
        }
    }

    /** The study is taken as it stands there, so that all of one answer is of one moment. */
    private static function answers(Request $request): bool
    {
        try {
            DB::connection(self::CONNECTION)->statement(
                sprintf("SELECT set_config('statement_timeout', '%ds', false)", config()->integer('reach.longest_question')),
            );
            $study = $request->route('study');
            $there = $study instanceof Study ? Study::on(self::CONNECTION)->find($study->id) : null;
        } catch (\PDOException) {
            DB::purge(self::CONNECTION);

            return false;
        }
        $route = $request->route();
        if ($there === null || ! $route instanceof Route) {
            return false;
        }
        $route->setParameter('study', $there);

        return true;
    }
}
