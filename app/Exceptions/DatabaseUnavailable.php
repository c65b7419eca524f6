<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Database\DetectsLostConnections;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/** The database does not answer: it restarts, or has stopped. */
final class DatabaseUnavailable extends ServiceUnavailableHttpException
{
    use DetectsLostConnections;

    private const RETRY_SECONDS = 10;

    /** PostgreSQL appendix A: connection failures (class 08), shutdown, crash, start-up, too many connections. */
    private const STATES = '/^(?:08...|57P0[123]|53300)$/';

    private function __construct(\Throwable $previous)
    {
        parent::__construct(
            self::RETRY_SECONDS,
            'The database isn’t available right now. Nothing was changed. Try again in a minute.',
            $previous,
        );
    }

    /** The SQLSTATE, which a failed connection tells in its words alone. */
    private static function state(\PDOException $error): string
    {
        return preg_match('/^SQLSTATE\[(\w{5})\]/', $error->getMessage(), $found) === 1 ? $found[1] : (string) $error->getCode();
    }

    /** The failure, or that the database does not answer where that is its cause. */
    public static function orElse(\Throwable $error): \Throwable
    {
        $self = new self($error);
        $isDown = $error instanceof \PDOException
            && (preg_match(self::STATES, self::state($error)) === 1 || $self->causedByLostConnection($error));

        return $isDown ? $self : $error;
    }
}
