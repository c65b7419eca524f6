<?php

declare(strict_types=1);

namespace App\Support\Sources;

use GreaterReach\Core\Exception\ReachException;

/** Why a source did not give what it was asked for, and what to do about it. */
final class SourceProblem extends \RuntimeException implements ReachException
{
    public static function unknown(string $name, string $known): self
    {
        return new self(sprintf('No source is called "%s". Available: %s.', mb_strimwidth($name, 0, 60, '…'), $known));
    }

    public static function notConnected(string $name): self
    {
        return new self(sprintf('The source "%s" isn’t connected. Set its address and key on the server.', $name));
    }

    public static function unreachable(string $name): self
    {
        return new self(
            sprintf(
                'The source "%s" can’t be reached. Start the pull again later: '
                    .'it continues where it stopped.',
                $name,
            ),
        );
    }

    public static function busy(string $name, int $seconds): self
    {
        return new self(
            sprintf(
                'The source "%s" limits requests and asks to wait %d seconds. Start the pull again then: it continues '
                    .'from there.',
                $name,
                $seconds,
            ),
        );
    }

    public static function refused(string $name, int $status, string $why): self
    {
        return new self(sprintf('The source "%s" refused with %d: %s', $name, $status, $why === '' ? 'no reason given.' : $why));
    }

    public static function garbled(string $name): self
    {
        return new self(sprintf('The source "%s" sent invalid data, so nothing was saved.', $name));
    }

    public static function nothing(string $name, string $what): self
    {
        return new self(sprintf('The source "%s" has no %s.', $name, $what));
    }
}
