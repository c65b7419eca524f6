<?php

declare(strict_types=1);

namespace App\Exceptions;

use GreaterReach\Core\Exception\ReachException;
use Illuminate\Queue\MaxAttemptsExceededException;
use Illuminate\Queue\TimeoutExceededException;

/** Why a piece of work broke off, in words for the person who waits for it. */
final class FailureMessage
{
    public static function of(\Throwable $error): string
    {
        return match (true) {
            $error instanceof ReachException => $error->getMessage(),
            DiskFull::isCauseOf($error) => DiskFull::WORDS,
            $error instanceof TimeoutExceededException => 'It took longer than 30 minutes, so we stopped it. Nothing was saved.',
            $error instanceof MaxAttemptsExceededException => 'The worker stopped twice, so nothing was saved. Try again when '
                .'the server is healthy.',
            default => sprintf(
                'Something went wrong, and nothing was saved. Try again. If it fails again, see the server’s log under the '
                    .'number %s.',
                ErrorNumber::of($error),
            ),
        };
    }
}
