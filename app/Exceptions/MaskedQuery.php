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
        $cause = $error->getPrevious() ?? $error;
        // PostgreSQL repeats values from the second line on.
        (new \ReflectionProperty(\Exception::class, 'message'))->setValue($cause, (string) strtok($cause->getMessage(), "\n"));

        return new QueryException($error->getConnectionName(), $error->getSql(), [], $cause);
    }
}
