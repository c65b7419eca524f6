<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** A question that the database was not allowed to think about any longer. */
final class QueryTimedOut extends ServiceUnavailableHttpException
{
    private const CANCELLED = '57014';
    private const BUSY_SECONDS = 5;

    private static function question(int $seconds, \Throwable $previous): self
    {
        return new self(
            null,
            sprintf('That took longer than %d seconds, so we stopped it. Narrow the filter or simplify the pattern.', $seconds),
            $previous,
        );
    }

    /** A change does little work of its own: what it waited for is another one. */
    private static function change(\Throwable $previous): self
    {
        return new self(
            self::BUSY_SECONDS,
            'Another change to this study is still running, so yours was not saved. Try again in a moment.',
            $previous,
        );
    }

    /** The failure, or that it took too long where that is what it was. */
    public static function orElse(\Throwable $error, int $seconds, Request $request): \Throwable
    {
        if (! $error instanceof \PDOException || $error->getCode() !== self::CANCELLED) {
            return $error;
        }

        return $request->isMethodSafe() ? self::question($seconds, $error) : self::change($error);
    }
}
