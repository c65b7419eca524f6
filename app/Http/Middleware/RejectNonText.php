<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use GreaterReach\Core\Exception\InvalidValue;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** Lets through what is text: the database keeps neither NUL bytes nor bytes that are not UTF-8, in no field. */
final class RejectNonText
{
    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        foreach (
            [
                'the address' => [rawurldecode($request->path())],
                'the question' => $request->query->all(),
                'the body' => $request->isJson() ? $request->json()->all() : $request->request->all(),
            ] as $where => $values
        ) {
            array_walk_recursive($values, static function (mixed $value, int|string $name) use ($where): void {
                if (!self::isText((string) $name) || (\is_string($value) && !self::isText($value))) {
                    throw new BadRequestHttpException(
                        sprintf('%s contains a NUL byte or invalid UTF-8. Send plain text.', $where),
                    );
                }
            });
        }

        foreach ($request->query->all() as $name => $value) {
            if (\is_array($value)) {
                throw new BadRequestHttpException(
                    sprintf('The parameter "%s" is a list. Send one text.', InvalidValue::quote((string) $name)),
                );
            }
        }

        return $next($request);
    }

    private static function isText(string $value): bool
    {
        return ! str_contains($value, "\0") && mb_check_encoding($value, 'UTF-8');
    }
}
