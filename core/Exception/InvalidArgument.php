<?php

declare(strict_types=1);

namespace GreaterReach\Core\Exception;

/** The core was called in a way that its contract rules out: a defect of the caller, never of a person's data. */
final class InvalidArgument extends \LogicException implements ReachException
{
    public static function because(string $reason): self
    {
        return new self($reason);
    }

    /** @throws self where a value cannot be what it claims to be */
    public static function unless(bool $isRight, string $reason): void
    {
        if (! $isRight) {
            throw self::because($reason);
        }
    }
}
