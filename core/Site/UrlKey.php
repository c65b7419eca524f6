<?php

declare(strict_types=1);

namespace GreaterReach\Core\Site;

use GreaterReach\Core\Exception\InvalidValue;

/**
 * The one form under which a page is matched: RFC 3986 §6.2.2 syntax-based normalisation (case, percent-encoding, dot
 * segments), default port and fragment dropped, empty path as `/`. Scheme and query stay.
 *
 * `HTTPS://Www.Example.example:443/a/./b/../%7Ec#top` becomes `https://www.example.example/a/~c`.
 */
final class UrlKey
{
    public const MAX_LENGTH = 4000;

    /** RFC 3986 appendix B, with an authority required and the web's two schemes. */
    private const SHAPE = '~^(?<scheme>https?)://(?<authority>[^/?#]*)(?<path>[^?#]*)(?<query>\?[^#]*)?(?:#.*)?$~isD';

    private const DEFAULT_PORTS = ['http' => '80', 'https' => '443'];

    /** Already normal: lower-case host without port, no percent sign, no dot segment, nothing to encode. */
    private const NORMAL = '~^https?://(?:(?!xn--)[a-z0-9-]{1,63}\.)+(?!xn--)[a-z0-9-]{1,63}/(?!\.|.*/\.)[A-Za-z0-9._\~!$&\'()*+,;=:@/-]*'
        .'(?:\?[A-Za-z0-9._\~!$&\'()*+,;=:@/?-]*)?$~D';

    /** @throws InvalidValue when the text is not a full web address */
    public static function of(string $raw): string
    {
        if (\strlen($raw) <= self::MAX_LENGTH && preg_match(self::NORMAL, $raw) === 1) {
            return $raw;
        }

        return self::normalise($raw);
    }

    public static function hostOf(string $urlKey): string
    {
        return (string) parse_url($urlKey, PHP_URL_HOST);
    }

    public static function pathOf(string $urlKey): string
    {
        return (string) parse_url($urlKey, PHP_URL_PATH);
    }

    /** A home page is the path `/` without a query, whatever the host. */
    public static function isHomePage(string $urlKey): bool
    {
        return preg_match('~^[a-z]+://[^/?]*/$~D', $urlKey) === 1;
    }

    private static function normalise(string $raw): string
    {
        $text = trim($raw);
        if (\strlen($text) > self::MAX_LENGTH) {
            throw InvalidValue::because('URL', $raw, 'is longer than 4,000 bytes');
        }
        if (preg_match('/[\x00-\x1f\x7f]/', $text) === 1 || preg_match(self::SHAPE, $text, $part) !== 1) {
            throw InvalidValue::because('URL', $raw, 'is not a full web address that begins with http:// or https://');
        }
        $scheme = strtolower($part['scheme']);
        $path = self::removeDotSegments(self::normaliseEscapes($part['path']));

        return $scheme.'://'.self::authority($part['authority'], $scheme, $raw)
            .($path === '' ? '/' : $path)
            .self::normaliseEscapes($part['query'] ?? '');
    }

    private static function authority(string $authority, string $scheme, string $raw): string
    {
        if (preg_match('~^(?<user>[^@\\\\]*@)?(?<host>\[[0-9a-f:.]+\]|[^:\[\]@\\\\]+)(?::(?<port>\d*))?$~iD', $authority, $part) !== 1) {
            throw InvalidValue::because('URL', $raw, 'has no valid host');
        }
        $host = str_starts_with($part['host'], '[') ? strtolower($part['host']) : Host::of(rawurldecode($part['host']));
        $port = $part['port'] ?? '';
        $shownPort = $port === '' || $port === self::DEFAULT_PORTS[$scheme] ? '' : ':'.$port;

        return self::normaliseEscapes($part['user']).$host.$shownPort;
    }

    /** Upper-case escapes, unreserved characters decoded, what may not stand bare in a URL encoded (RFC 3986 §2). */
    private static function normaliseEscapes(string $text): string
    {
        $decoded = preg_replace_callback('/%([0-9a-f]{2})/i', static function (array $escape): string {
            $char = \chr((int) hexdec($escape[1]));

            return preg_match('/[A-Za-z0-9._~-]/', $char) === 1 ? $char : strtoupper($escape[0]);
        }, $text);

        return (string) preg_replace_callback(
            '/[^A-Za-z0-9._~!$&\'()*+,;=:@\/?%-]|%(?![0-9A-F]{2})/',
            static fn(array $bare): string => rawurlencode($bare[0]),
            (string) $decoded,
        );
    }

    /** RFC 3986 §5.2.4 for a path that is empty or begins with a slash. */
    public static function removeDotSegments(string $path): string
    {
        if (! str_contains($path, '/.')) {
            return $path;
        }
        $output = [];
        $segments = explode('/', substr($path, 1));
        $last = \count($segments) - 1;
        foreach ($segments as $index => $segment) {
            if ($segment === '..') {
                array_pop($output);
            }
            if ($segment !== '.' && $segment !== '..') {
                $output[] = $segment;
            } elseif ($index === $last) {
                $output[] = '';
            }
        }

        return '/'.implode('/', $output);
    }
}
