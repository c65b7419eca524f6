<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Database\QueryException;

/** A database failure without the values of its query, which the log has no business keeping: session ids, passwords, tokens. */
final class MaskedQuery
{
    public static function of(\Throwable $error): \Throwable
    {
        if (! $error instanceof QueryException) {
            return $error;
        }
        $message = new \ReflectionProperty(\Exception::class, 'message');
        $cause = $error->getPrevious() ?? $error;
        // PostgreSQL repeats values from the second line on.
        $message->setValue($cause, (string) strtok($cause->getMessage(), "\n"));
        // The same exception, so that the number told to a person is the one in the log.
        $message->setValue($error, (new QueryException($error->getConnectionName(), $error->getSql(), [], $cause))->getMessage());

        return $error;
    }
}
