<?php

declare(strict_types=1);

namespace App\Exceptions;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Exception\ReachException;
use GreaterReach\Core\Intake\FileProblem;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Renders every failure of the API as RFC 9457 problem details, and never more than a person may know. */
final class ProblemDetails
{
    private const TITLES = [
        400 => 'Bad request',
        401 => 'Sign in first',
        403 => 'Not allowed',
        404 => 'Not found',
        405 => 'Method not allowed',
        409 => 'Changed meanwhile',
        413 => 'Too large',
        419 => 'Session expired',
        422 => 'Refused',
        429 => 'Too many attempts',
        503 => 'Stopped',
    ];

    public static function fromThrowable(\Throwable $error): JsonResponse
    {
        return match (true) {
            $error instanceof ValidationException => self::response(422, 'Some fields are not right.', ['errors' => $error->errors()]),
            $error instanceof AuthenticationException => self::response(401, 'This needs a signed-in person.'),
            $error instanceof AuthorizationException => self::response(403, 'Your role in this study does not allow that.'),
            $error instanceof ModelNotFoundException => self::response(404, 'There is nothing here, or you may not see it.'),
            $error instanceof TokenMismatchException => self::response(419, 'Reload the page and try again.'),
            $error instanceof TellsMore => self::response(422, $error->getMessage(), $error->more()),
            $error instanceof FileProblem => self::response(422, $error->getMessage(), ['errors' => ['file' => [$error->getMessage()]]]),
            $error instanceof Refused => self::response(422, $error->getMessage(), ['errors' => [$error->field => [$error->getMessage()]]]),
            $error instanceof InvalidValue => self::response(422, $error->getMessage(), ['errors' => [$error->what => [$error->getMessage()]]]),
            $error instanceof ReachException => self::response(422, $error->getMessage()),
            $error instanceof HttpExceptionInterface => self::response($error->getStatusCode(), self::detail($error), [], $error->getHeaders()),
            default => self::response(500, sprintf('Something went wrong here; the log has the rest under the number %s.', ErrorNumber::of($error)), ['number' => ErrorNumber::of($error)]),
        };
    }

    /**
     * @param array<string, mixed>              $extra
     * @param array<string, string|list<string>> $headers
     */
    private static function response(int $status, string $detail, array $extra = [], array $headers = []): JsonResponse
    {
        $body = ['type' => 'about:blank', 'title' => self::TITLES[$status] ?? 'Failed', 'status' => $status, 'detail' => $detail, ...$extra];

        return new JsonResponse($body, $status, [...$headers, 'Content-Type' => 'application/problem+json'], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    private static function detail(HttpExceptionInterface $error): string
    {
        return match ($error->getStatusCode()) {
            403 => $error->getPrevious() instanceof AuthorizationException || $error->getMessage() === '' ? 'Your role in this study does not allow that.' : $error->getMessage(),
            404 => 'There is nothing here, or you may not see it.',
            419 => 'Reload the page and try again.',
            429 => 'Wait a minute, then try again.',
            default => $error->getMessage() === '' ? 'The request was not understood.' : $error->getMessage(),
        };
    }
}
