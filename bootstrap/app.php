<?php

declare(strict_types=1);

use App\Exceptions\DatabaseUnavailable;
use App\Exceptions\ErrorHandler;
use App\Exceptions\InvalidReference;
use App\Exceptions\MaskedQuery;
use App\Exceptions\ProblemDetails;
use App\Exceptions\QueryTimedOut;
use App\Http\Middleware\AuditRequests;
use App\Http\Middleware\CsrfUnlessToken;
use App\Http\Middleware\IdRange;
use App\Http\Middleware\LimitQueryTime;
use App\Http\Middleware\NoSessionForTokens;
use App\Http\Middleware\RejectNonText;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\TrustedHosts;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

$application = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php')
    ->withCommands([__DIR__.'/../app/Console/Commands'])
    ->withMiddleware(function (Middleware $middleware): void {
        // The front end comes from the same origin, so no cross-origin requests are answered.
        $middleware->remove(HandleCors::class);
        // The outermost, so that what is refused at the door has them, too.
        $middleware->prepend([
            SecurityHeaders::class,
            TrustedHosts::class,
            RejectNonText::class,
            LimitQueryTime::class,
            NoSessionForTokens::class,
        ]);
        $middleware->append(AuditRequests::class);
        $middleware->web(append: [IdRange::class], replace: [ValidateCsrfToken::class => CsrfUnlessToken::class]);
        // Blanks belong to a password, wherever it is given.
        $middleware->trimStrings(except: ['new_password']);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $longest = static fn(): int => config()->integer('reach.longest_question');
        // A request of a test is none.
        $isCommand = static fn(): bool => app()->runningInConsole() && ! request()->route();
        $exceptions->map(
            // A cursor's rows are read beside Laravel, so that is what it says of them, too.
            \PDOException::class,
            static fn(\PDOException $error): Throwable => MaskedQuery::of(
                $isCommand()
                    ? $error
                    : DatabaseUnavailable::orElse(
                        InvalidReference::orElse(QueryTimedOut::orElse($error, $longest(), request()), request()),
                    ),
            ),
        );
        // By the path as it was sent: one that is not UTF-8 is matched by no pattern.
        $isApi = static fn(Request $request): bool => str_starts_with($request->getPathInfo(), '/api/');
        $answer = static fn(Throwable $error, Request $request) => $isApi($request) ? ProblemDetails::fromThrowable($error) : null;
        $exceptions->render($answer);
    })
    ->create();

$application->singleton(ExceptionHandler::class, ErrorHandler::class);

return $application;
