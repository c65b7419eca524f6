<?php

declare(strict_types=1);

namespace Tests\Core\Site;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Site\UrlKey;
use League\Uri\UriString;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class UrlKeyTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function normalised(): iterable
    {
        yield 'RFC 3986 §6.2.2, its own example with a web scheme' => [
            'hTTPs://a.example/%7bfoo%7d/b/../%63?q=%7e',
            'https://a.example/%7Bfoo%7D/c?q=~',
        ];
        yield 'RFC 3986 §6.2.2.1 case' => ['HTTP://www.EXAMPLE.com/', 'http://www.example.com/'];
        yield 'RFC 3986 §6.2.2.2 percent-encoding' => ['https://a.example/%7Euser/%2f%41', 'https://a.example/~user/%2FA'];
        yield 'RFC 3986 §6.2.3 empty path and default port' => ['http://example.com:80', 'http://example.com/'];
        yield 'empty port' => ['https://example.com:/', 'https://example.com/'];
        yield 'another port stays' => ['https://example.com:8443/', 'https://example.com:8443/'];
        yield 'the other scheme\'s port stays' => ['http://example.com:443/', 'http://example.com:443/'];
        yield 'fragment dropped' => ['https://a.example/x?y#z', 'https://a.example/x?y'];
        yield 'empty query stays' => ['https://a.example/x?', 'https://a.example/x?'];
        yield 'trailing dot of the host' => ['https://a.example./x', 'https://a.example/x'];
        yield 'UTS #46 non-transitional host (faß.de of its §4 example)' => ['https://Faß.de/', 'https://xn--fa-hia.de/'];
        yield 'RFC 5891 U-label' => ['https://bücher.example/', 'https://xn--bcher-kva.example/'];
        yield 'path beyond ASCII' => ['https://a.example/café', 'https://a.example/caf%C3%A9'];
        yield 'space' => ['https://a.example/a b', 'https://a.example/a%20b'];
        yield 'user information stays' => ['https://me@a.example/', 'https://me@a.example/'];
        yield 'address in brackets' => ['https://[2001:DB8::1]/x', 'https://[2001:db8::1]/x'];
    }

    #[DataProvider('normalised')]
    public function test_a_url_has_one_key(string $raw, string $key): void
    {
        self::assertSame($key, UrlKey::of($raw));
        self::assertSame($key, UrlKey::of($key), 'A key is its own key.');
    }

    /**
     * @return iterable<string, array{string, string}> source: RFC 3986 §5.4, base http://a/b/c/d;p?q, the resolved forms with dot
     *     segments still in place
     */
    public static function dotSegments(): iterable
    {
        yield '../g of §5.4.1' => ['/b/c/../g', '/b/g'];
        yield '../../ of §5.4.1' => ['/b/c/../../', '/'];
        yield './ of §5.4.1' => ['/b/c/./', '/b/c/'];
        yield '.. of §5.4.1' => ['/b/c/..', '/b/'];
        yield '../../../g of §5.4.2' => ['/b/c/../../../g', '/g'];
        yield '/./g of §5.4.2' => ['/./g', '/g'];
        yield '..g of §5.4.2' => ['/b/c/..g', '/b/c/..g'];
        yield './g/. of §5.4.2' => ['/b/c/./g/.', '/b/c/g/'];
        yield 'g;x=1/../y of §5.4.2' => ['/b/c/g;x=1/../y', '/b/c/y'];
    }

    #[DataProvider('dotSegments')]
    public function test_dot_segments_are_removed(string $path, string $expected): void
    {
        self::assertSame($expected, UrlKey::removeDotSegments($path));
    }

    /** Reference: the general library league/uri, on addresses put together at random. */
    public function test_it_agrees_with_a_reference_library_on_random_addresses(): void
    {
        mt_srand(7);
        $pieces = ['a', 'B', '%7e', '%2F', '..', '.', 'c-d', '~', '%c3%a9', 'x=1', 'g;y'];
        for ($round = 0; $round < 2000; ++$round) {
            $path = implode('/', array_map(static fn(): string => $pieces[mt_rand(0, \count($pieces) - 1)], range(0, mt_rand(0, 5))));
            $raw =
                ['http', 'HTTPS'][mt_rand(0, 1)].
                '://'.
                ['A.example', 'www.b.example:8080', 'c.example'][mt_rand(0, 2)].
                '/'.
                $path.
                ['', '?q=%7e', '?'][mt_rand(0, 2)];
            self::assertSame(UriString::normalize($raw), UrlKey::of($raw), $raw);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function noUrls(): iterable
    {
        yield 'a path' => ['/hives'];
        yield 'a bare host' => ['a.example/hives'];
        yield 'another scheme' => ['javascript:alert(1)'];
        yield 'no host' => ['https:///hives'];
        yield 'a bad host' => ['https://a..example/'];
        yield 'a line break' => ["https://a.example/\nx"];
        yield 'too long' => ['https://a.example/'.str_repeat('x', 4000)];
    }

    #[DataProvider('noUrls')]
    public function test_what_is_no_full_web_address_is_refused(string $raw): void
    {
        $this->expectException(InvalidValue::class);
        UrlKey::of($raw);
    }

    public function test_a_home_page_is_the_bare_path_without_a_query(): void
    {
        self::assertTrue(UrlKey::isHomePage('https://a.example/'));
        self::assertFalse(UrlKey::isHomePage('https://a.example/?page=2'));
        self::assertFalse(UrlKey::isHomePage('https://a.example/hives'));
    }
}
