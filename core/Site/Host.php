<?php

declare(strict_types=1);

namespace GreaterReach\Core\Site;

use GreaterReach\Core\Exception\InvalidValue;

/** Host names in their one ASCII form: lower case, UTS #46 non-transitional, no trailing dot. */
final class Host
{
    private const MAX_LENGTH = 253;

    /** @throws InvalidValue when the text is no host name */
    public static function of(string $raw): string
    {
        $lower = strtolower(rtrim(trim($raw), '.'));
        $host = self::isPlain($lower) ? $lower : self::toAscii($raw);
        if ($host === '' || \strlen($host) > self::MAX_LENGTH || preg_match('/^[a-z0-9_-]{1,63}(\.[a-z0-9_-]{1,63})*$/D', $host) !== 1) {
            throw InvalidValue::because('host', $raw, 'is not a host name such as thornfield-apiary.example');
        }

        return $host;
    }

    public static function withoutWww(string $host): string
    {
        return str_starts_with($host, 'www.') ? substr($host, 4) : $host;
    }

    /** Letters, digits and hyphens need no mapping unless they carry an encoded label. */
    private static function isPlain(string $host): bool
    {
        return preg_match('/^[a-z0-9._-]+$/D', $host) === 1 && ! str_contains($host, 'xn--');
    }

    private static function toAscii(string $raw): string
    {
        $ascii = idn_to_ascii(trim($raw), IDNA_NONTRANSITIONAL_TO_ASCII | IDNA_CHECK_BIDI | IDNA_CHECK_CONTEXTJ, INTL_IDNA_VARIANT_UTS46);
        if ($ascii === false) {
            throw InvalidValue::because('host', $raw, 'is not a valid internationalised host name');
        }

        return rtrim(strtolower($ascii), '.');
    }
}
