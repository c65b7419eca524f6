<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The disk of the database is full. */
final class DiskFull
{
    public const WORDS = 'The database disk is full, so nothing was saved. Free some space and try again.';

    /** PostgreSQL appendix A, class 53: disk_full. */
    private const DISK_FULL = '53100';

    public static function isCauseOf(\Throwable $error): bool
    {
        for ($cause = $error; $cause !== null; $cause = $cause->getPrevious()) {
            $isFull = $cause->getCode() === self::DISK_FULL || str_contains($cause->getMessage(), 'No space left on device');
            if ($cause instanceof \PDOException && $isFull) {
                return true;
            }
        }

        return false;
    }
}
