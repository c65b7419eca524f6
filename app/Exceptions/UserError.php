<?php

declare(strict_types=1);

namespace App\Exceptions;

use GreaterReach\Core\Exception\ReachException;

/** Something a person asked for that cannot be done, with one line that says what, where and what to do. */
final class UserError extends \RuntimeException implements ReachException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function because(string $field, string $message): self
    {
        return new self($field, $message);
    }
}
