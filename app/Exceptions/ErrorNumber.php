<?php

declare(strict_types=1);

namespace App\Exceptions;

/** The number under which the log has the rest of a failure, told to whom it happened. */
final class ErrorNumber
{
    /** @var ?\WeakMap<\Throwable, string> */
    private static ?\WeakMap $numbers = null;

    public static function of(\Throwable $error): string
    {
        self::$numbers ??= new \WeakMap();

        return self::$numbers[$error] ??= strtoupper(bin2hex(random_bytes(4)));
    }
}
