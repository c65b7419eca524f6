<?php

declare(strict_types=1);

namespace Tests\Core\Site;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Site\Host;
use GreaterReach\Core\Site\PublicSuffixList;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Source: the list's own test vectors, test_psl.txt as Debian ships it with the package publicsuffix (public domain). */
final class PublicSuffixListTest extends TestCase
{
    private static ?PublicSuffixList $list = null;

    /** @return iterable<string, array{string, ?string}> */
    public static function vectors(): iterable
    {
        preg_match_all(
            "/^checkPublicSuffix\('([^']*)', (?:'([^']*)'|null)\);/m",
            (string) file_get_contents(__DIR__.'/test_psl.txt'),
            $found,
            PREG_SET_ORDER,
        );
        foreach ($found as $vector) {
            yield $vector[1] => [$vector[1], ($vector[2] ?? '') === '' ? null : $vector[2]];
        }
    }

    #[DataProvider('vectors')]
    public function test_the_lists_own_vectors_hold(string $host, ?string $expected): void
    {
        try {
            $found = self::list()->registrableDomain(Host::of($host));
        } catch (InvalidValue) {
            $found = null;
        }
        self::assertSame($expected === null ? null : Host::of($expected), $found);
    }

    public function test_all_vectors_were_found(): void
    {
        self::assertGreaterThan(70, iterator_count((static fn(): \Generator => yield from self::vectors())()));
    }

    public function test_an_address_has_no_registrable_domain(): void
    {
        self::assertNull(self::list()->registrableDomain('127.0.0.1'));
    }

    private static function list(): PublicSuffixList
    {
        return self::$list ??= PublicSuffixList::fromText(
            (string) file_get_contents(dirname(__DIR__, 3).'/resources/data/public_suffix_list.dat'),
        );
    }
}
