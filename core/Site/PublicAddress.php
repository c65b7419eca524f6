<?php

declare(strict_types=1);

namespace GreaterReach\Core\Site;

use GreaterReach\Core\Exception\InvalidValue;

/** An address that may be asked for on a person's behalf: a page on a public host, never one of the inside. */
final class PublicAddress
{
    /** Names that never lead outside (RFC 6761, RFC 6762, RFC 8375). */
    private const INSIDE = ['localhost', 'local', 'internal', 'intranet', 'lan', 'home.arpa', 'corp', 'home'];

    /**
     * @return string its URL key
     *
     * @throws InvalidValue when it is no http or https address, carries a name and password, or its host is an IP address, a
     *                      single label, or a name of the inside
     */
    public static function of(string $address): string
    {
        $url = UrlKey::of(trim($address));
        $host = UrlKey::hostOf($url);
        $isInside =
            !str_contains($host, '.') ||
            preg_match('/^[\d.]+$|^\[|^0x|:/D', $host) === 1 ||
            array_filter(self::INSIDE, static fn(string $name): bool => $host === $name || str_ends_with($host, '.'.$name)) !== [];
        if (preg_match('#^https?://[^/@]+(?:/|$)#D', $url) !== 1 || $isInside) {
            throw InvalidValue::because('address', $address, 'must be a page on a public host, beginning with http:// or https://');
        }

        return $url;
    }
}
