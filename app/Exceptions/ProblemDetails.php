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
    private const ROLE = 'Your role in this study doesn’t allow that.';
    private const NOTHING = 'Not found, or you don’t have access.';
    private const RELOAD = 'Reload the page and try again.';

    public static function fromThrowable(\Throwable $error): JsonResponse
    {
        return match (true) {
            $error instanceof ValidationException => self::response(422, ProblemCode::FieldsNotRight, 'Some fields are invalid.', [
                'errors' => $error->errors(),
            ]),
            $error instanceof AuthenticationException => self::response(401, ProblemCode::SignedOut, 'Sign in first.'),
            $error instanceof AuthorizationException => self::response(403, ProblemCode::NotAllowed, self::ROLE),
            $error instanceof ModelNotFoundException => self::response(404, ProblemCode::NotFound, self::NOTHING),
            $error instanceof TokenMismatchException => self::response(419, ProblemCode::SessionExpired, self::RELOAD),
            $error instanceof ReachException => self::refusal($error),
            $error instanceof HttpExceptionInterface => self::ofStatus($error),
            DiskFull::isCauseOf($error) => self::response(507, ProblemCode::NoRoom, DiskFull::WORDS),
            default => self::failure($error),
        };
    }

    private static function refusal(ReachException $error): JsonResponse
    {
        [$code, $more] = match (true) {
            $error instanceof HasProblemFields => [$error->problemCode(), $error->more()],
            $error instanceof FileProblem => [ProblemCode::FileNotRead, self::fieldError('file', $error)],
            $error instanceof UserError => [ProblemCode::Refused, self::fieldError($error->field, $error)],
            $error instanceof InvalidValue => [ProblemCode::ValueNotRight, self::fieldError($error->what, $error)],
            default => [ProblemCode::Refused, []],
        };

        return self::response(422, $code, $error->getMessage(), $more);
    }

    private static function ofStatus(HttpExceptionInterface $error): JsonResponse
    {
        /** @var array<string, string|list<string>> $headers */
        $headers = $error->getHeaders();

        return self::response(
            $error->getStatusCode(),
            ProblemCode::ofStatus($error->getStatusCode()),
            self::detail($error),
            [],
            $headers,
        );
    }

    private static function failure(\Throwable $error): JsonResponse
    {
        $number = ErrorNumber::of($error);

        return self::response(
            500,
            ProblemCode::Failed,
            sprintf('Something went wrong. See error %s in the server’s log.', $number),
            ['number' => $number],
        );
    }

    /** @return array{errors: array<string, list<string>>} */
    private static function fieldError(string $field, \Throwable $error): array
    {
        return ['errors' => [$field => [$error->getMessage()]]];
    }

    /**
     * @param array<string, mixed>              $extra
     * @param array<string, string|list<string>> $headers
     */
    private static function response(int $status, ProblemCode $code, string $detail, array $extra = [], array $headers = []): JsonResponse
    {
        $body = [
            'type' => 'about:blank',
            'title' => $code->title(),
            'status' => $status,
            'detail' => $detail,
            'code' => $code->value,
            ...$extra,
        ];
        $headers['Content-Type'] = 'application/problem+json';

        return new JsonResponse($body, $status, $headers, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    private static function detail(HttpExceptionInterface $error): string
    {
        return match ($error->getStatusCode()) {
            403 => $error->getPrevious() instanceof AuthorizationException || $error->getMessage() === ''
                ? self::ROLE
                : $error->getMessage(),
            404 => $error instanceof MissingRecord ? $error->getMessage() : self::NOTHING,
            419 => self::RELOAD,
            429 => 'Wait a minute, then try again.',
            default => $error->getMessage() === '' ? 'The request is invalid.' : $error->getMessage(),
        };
    }
}
