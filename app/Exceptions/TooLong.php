<?php

declare(strict_types=1);

namespace App\Exceptions;

use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** A question that the database was not allowed to think about any longer. */
final class TooLong extends ServiceUnavailableHttpException
{
    private const CANCELLED = '57014';

    private static function after(int $seconds, \Throwable $previous): self
    {
        return new self(
            null,
            sprintf(
                'This question took more than %d seconds and was stopped. Make the sentence narrower or its pattern simpler, then try '
                    .'again.',
                $seconds,
            ),
            $previous,
        );
    }

    /** The failure, or that it took too long where that is what it was. */
    public static function orElse(\Throwable $error, int $seconds): \Throwable
    {
        return $error instanceof \PDOException && $error->getCode() === self::CANCELLED ? self::after($seconds, $error) : $error;
    }
}
