<?php

declare(strict_types=1);

namespace App\Support\OneTime;

use ParagonIE\ConstantTime\Base32;

/** Codes for who has lost the authenticator: each holds once, and only what they come to is kept. */
final class RecoveryCodes
{
    private const COUNT = 10;

    /** @return list<string> 50 bits each, in two groups */
    public static function make(): array
    {
        return array_map(
            static fn(): string => implode('-', str_split(substr(Base32::encodeUnpadded(random_bytes(7)), 0, 10), 5)),
            range(1, self::COUNT),
        );
    }

    /** Random enough that a plain hash keeps them. */
    public static function hash(string $code): string
    {
        return hash('sha256', strtolower((string) preg_replace('/[\s-]+/', '', $code)));
    }
}
