<?php

declare(strict_types=1);

namespace GreaterReach\Core\Exception;

/** A single value that cannot be what it claims to be. The message is a full sentence for a person. */
final class InvalidValue extends \InvalidArgumentException implements ReachException
{
    private const QUOTED_LENGTH = 80;

    private function __construct(public readonly string $what, public readonly string $value, public readonly string $reason)
    {
        parent::__construct(\sprintf('%s "%s" %s.', ucfirst($what), self::quote($value), $reason));
    }

    public static function because(string $what, string $value, string $reason): self
    {
        return new self($what, $value, $reason);
    }

    /** Shortens and escapes what a person sent, so that it can stand on one line of a message. */
    public static function quote(string $value): string
    {
        $short = mb_strlen($value) > self::QUOTED_LENGTH ? mb_substr($value, 0, self::QUOTED_LENGTH).'…' : $value;

        return addcslashes(mb_scrub($short), "\0..\37\"\\\177");
    }
}
