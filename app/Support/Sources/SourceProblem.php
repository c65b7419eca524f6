<?php

declare(strict_types=1);

namespace App\Support\Sources;

use GreaterReach\Core\Exception\ReachException;

/** Why a source did not give what it was asked for, and what to do about it. */
final class SourceProblem extends \RuntimeException implements ReachException
{
    public static function unknown(string $name, string $known): self
    {
        return new self(sprintf('There is no source "%s"; there is %s.', mb_strimwidth($name, 0, 60, '…'), $known));
    }

    public static function notConnected(string $name): self
    {
        return new self(sprintf('The source "%s" is not connected; its address or key is not set on the server.', $name));
    }

    public static function unreachable(string $name): self
    {
        return new self(
            sprintf(
                'The source "%s" cannot be reached or breaks off. What has arrived is kept aside, so start the pull again later and '
                    .'it goes on from there.',
                $name,
            ),
        );
    }

    public static function busy(string $name, int $seconds): self
    {
        return new self(
            sprintf(
                'The source "%s" lets no more requests through; it asks to wait %d seconds. Start the pull again then; it goes on '
                    .'from there.',
                $name,
                $seconds,
            ),
        );
    }

    public static function refused(string $name, int $status, string $why): self
    {
        return new self(sprintf('The source "%s" refused with %d: %s', $name, $status, $why === '' ? 'it gives no reason.' : $why));
    }

    public static function garbled(string $name): self
    {
        return new self(sprintf('The source "%s" sent something that is not what it should be; nothing was kept.', $name));
    }

    public static function nothing(string $name, string $what): self
    {
        return new self(sprintf('The source "%s" has no %s.', $name, $what));
    }
}
