<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** A cursor that no list gave, or one of another list; a number that is too large to be that of anything. */
final class InvalidReference extends BadRequestHttpException
{
    /** What PostgreSQL says of a value of the wrong kind: text that is no number, a number out of range, kinds that do not go together. */
    private const WRONG_KIND = ['22P02', '22003', '42804', '42883'];

    public static function cursor(?\Throwable $previous = null): self
    {
        return new self('This cursor doesn’t belong to this list. Start again without it.', $previous);
    }

    public static function number(): self
    {
        return new self('A number in this URL is too large.');
    }

    /** The failure, or that a cursor was forged where that is what it came from. */
    public static function orElse(\Throwable $error, Request $request): \Throwable
    {
        $isOfCursor = $error instanceof QueryException && \in_array($error->getCode(), self::WRONG_KIND, true) && $request->has('cursor');

        return $isOfCursor ? self::cursor($error) : $error;
    }
}
