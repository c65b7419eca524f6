<?php

declare(strict_types=1);

namespace Tests\Core\Site;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\Host;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Site\Scope;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DomainEntryTest extends TestCase
{
    /** @return iterable<string, array{string, Scope}> */
    public static function scopes(): iterable
    {
        yield 'a registrable domain' => ['Hivewright.example', Scope::Registrable];
        yield 'under a longer public suffix' => ['hivewright.co.uk', Scope::Registrable];
        yield 'another host' => ['shop.hivewright.example', Scope::Host];
        yield 'www is another host' => ['www.hivewright.example', Scope::Host];
        yield 'an address' => ['https://hivewright.example/shop/', Scope::Prefix];
        yield 'an address without a scheme' => ['hivewright.example/shop', Scope::Prefix];
    }

    #[DataProvider('scopes')]
    public function test_the_scope_follows_from_what_is_given(string $given, Scope $scope): void
    {
        $entry = self::entry($given);
        self::assertSame($scope, $entry->scope);
        self::assertSame(mb_strtolower($given), $entry->label);
    }

    /** @return iterable<string, array{string, ?Scope, string, bool}> */
    public static function coverage(): iterable
    {
        yield 'registrable: any host' => ['hivewright.example', null, 'https://blog.hivewright.example/x', true];
        yield 'registrable: not a host that only ends alike' => ['hivewright.example', null, 'https://nothivewright.example/', false];
        yield 'host: itself' => ['shop.hivewright.example', null, 'http://shop.hivewright.example/x', true];
        yield 'host: with www' => ['shop.hivewright.example', null, 'http://www.shop.hivewright.example/x', true];
        yield 'host: not another' => ['shop.hivewright.example', null, 'https://hivewright.example/', false];
        yield 'www host: without www' => ['www.hivewright.example', null, 'https://hivewright.example/', true];
        yield 'prefix: the page itself' => ['https://hivewright.example/shop', null, 'https://hivewright.example/shop', true];
        yield 'prefix: below' => ['https://hivewright.example/shop/', null, 'https://hivewright.example/shop/hives?x=1', true];
        yield 'prefix: not inside a segment' => ['https://hivewright.example/shop', null, 'https://hivewright.example/shopping', false];
        yield 'prefix: the whole host' => ['https://hivewright.example/', null, 'https://www.hivewright.example/anything', true];
        yield 'page: itself' => ['https://hivewright.example/a', Scope::Page, 'https://hivewright.example/a', true];
        yield 'page: no query more' => ['https://hivewright.example/a', Scope::Page, 'https://hivewright.example/a?b', false];
    }

    #[DataProvider('coverage')]
    public function test_a_page_is_inside_the_scope_or_not(string $given, ?Scope $scope, string $url, bool $expected): void
    {
        self::assertSame($expected, self::entry($given, $scope)->covers($url));
    }

    /** @return iterable<string, array{string, string, bool}> */
    public static function containment(): iterable
    {
        yield 'all hosts: a host' => ['hivewright.example', 'shop.hivewright.example', true];
        yield 'all hosts: an address below' => ['hivewright.example', 'shop.hivewright.example/hives', true];
        yield 'all hosts: not of another domain' => ['hivewright.example', 'shop.waxwright.example', false];
        yield 'a host: not all hosts' => ['shop.hivewright.example', 'hivewright.example', false];
        yield 'a host: an address of it, with www' => ['shop.hivewright.example', 'www.shop.hivewright.example/hives', true];
        yield 'a host: not an address of another' => ['shop.hivewright.example', 'blog.hivewright.example/hives', false];
        yield 'an address: a deeper one' => ['hivewright.example/shop', 'hivewright.example/shop/hives', true];
        yield 'an address: not a higher one' => ['hivewright.example/shop/hives', 'hivewright.example/shop', false];
        yield 'an address: not inside a segment' => ['hivewright.example/shop', 'hivewright.example/shopping', false];
        yield 'an address: not its host' => ['hivewright.example/shop', 'www.hivewright.example', false];
        yield 'the root of a host: the host' => ['https://shop.hivewright.example/', 'shop.hivewright.example', true];
    }

    #[DataProvider('containment')]
    public function test_one_scope_lies_inside_another_or_not(string $outer, string $inner, bool $expected): void
    {
        self::assertSame($expected, self::entry($outer)->contains(self::entry($inner)));
        self::assertTrue(self::entry($outer)->contains(self::entry($outer)));
    }

    public function test_a_page_is_contained_where_it_is_covered(): void
    {
        $page = self::entry('https://hivewright.example/shop/hives', Scope::Page);
        self::assertTrue(self::entry('hivewright.example/shop')->contains($page));
        self::assertFalse(self::entry('hivewright.example/blog')->contains($page));
        self::assertFalse($page->contains(self::entry('hivewright.example/shop/hives')));
    }

    public function test_the_name_is_the_first_label_with_spaces(): void
    {
        self::assertSame('first swarm', self::entry('shop.first-swarm.example')->name());
    }

    public function test_entries_are_the_same_when_they_cover_the_same(): void
    {
        self::assertTrue(self::entry('www.hivewright.example')->isSameAs(self::entry('hivewright.example', Scope::Host)));
        self::assertFalse(self::entry('www.hivewright.example')->isSameAs(self::entry('hivewright.example')));
    }

    #[DataProvider('noDomains')]
    public function test_what_has_no_registrable_domain_is_refused(string $given): void
    {
        $this->expectException(InvalidValue::class);
        self::entry($given);
    }

    /** @return iterable<string, array{string}> */
    public static function noDomains(): iterable
    {
        yield 'a public suffix' => ['co.uk'];
        yield 'a single label' => ['localhost'];
        yield 'an address in numbers' => ['127.0.0.1'];
        yield 'nothing' => [''];
        yield 'words' => ['our own domain'];
    }

    private static function entry(string $given, ?Scope $scope = null): DomainEntry
    {
        return DomainEntry::of($given, PublicSuffixList::fromText("// a few rules\ncom\nuk\nco.uk\n"), $scope);
    }

    public function test_a_host_has_253_characters_at_most_and_a_label_63(): void
    {
        // RFC 1035, section 2.3.4, gives labels 63 octets and names 255, which leaves 253 characters.
        $label = str_repeat('a', 63);
        $longest = "{$label}.{$label}.{$label}.".str_repeat('b', 61);
        self::assertSame(253, \strlen($longest));
        self::assertSame($longest, Host::of($longest));
        foreach ([$longest.'b', $label.'a.example', '', '.', 'a b.example'] as $wrong) {
            try {
                Host::of($wrong);
                self::fail("\"{$wrong}\" was taken.");
            } catch (InvalidValue $problem) {
                self::assertMatchesRegularExpression('/is not a (valid internationalised )?host name/', $problem->getMessage());
            }
        }
    }
}
