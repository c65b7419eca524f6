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
            $error instanceof TimeoutExceededException => 'It took longer than half an hour and was stopped; nothing was kept.',
            $error instanceof MaxAttemptsExceededException => 'The worker stopped half-way, twice; nothing was kept. Start it again when '
                .'the server is well.',
            default => sprintf(
                'It broke off; nothing was kept. Start it again; if it breaks off again, the log on the server tells why under the '
                    .'number %s.',
                ErrorNumber::of($error),
            ),
        };
    }
}
