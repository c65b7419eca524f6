<?php

declare(strict_types=1);

namespace Tests\Core\Intake;

use GreaterReach\Core\Intake\FileDomain;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What names of files tell of domains; cases of our own. */
final class FileDomainTest extends TestCase
{
    private const DOMAINS = [
        'inkmoor.example', 'nibhouse.example', 'nibhouse.example/pens', 'quill-fair.example', 'shop.quill-fair.example',
    ];

    #[DataProvider('written')]
    public function test_a_domain_written_out_is_found_the_longest_first(string $fileName, ?string $domain): void
    {
        self::assertSame($domain, FileDomain::in($fileName, self::DOMAINS)?->domain);
    }

    /** @return iterable<array{string, ?string}> */
    public static function written(): iterable
    {
        yield ['Nibhouse.example 2026-10.csv', 'nibhouse.example'];
        yield ['nibhouse.example-pens.csv', 'nibhouse.example/pens'];
        yield ['shop.quill-fair.example.xlsx', 'shop.quill-fair.example'];
        yield ['nibhouse-2026-10.csv', null];
    }

    #[DataProvider('short')]
    public function test_a_domain_in_short_is_found_where_it_means_no_other(string $fileName, ?string $domain, string $written = ''): void
    {
        $found = FileDomain::inShort($fileName, self::DOMAINS);
        self::assertSame($domain, $found?->domain);
        self::assertSame($written, $found->written ?? '');
    }

    /** @return iterable<array{string, ?string, 2?: string}> */
    public static function short(): iterable
    {
        yield ['ours-2026-10.csv', 'inkmoor.example', 'ours'];
        yield ['Our rankings.csv', 'inkmoor.example', 'Our'];
        yield ['own_oct.csv', 'inkmoor.example', 'own'] ;
        yield ['inkmoor 10.csv', 'inkmoor.example', 'inkmoor'];
        yield ['quill-fair-2026-10.csv', 'quill-fair.example', 'quill-fair'];
        yield ['shop (2).csv', 'shop.quill-fair.example', 'shop'];
        // Two domains begin so, both are named, or it is only part of a word.
        yield ['nibhouse-2026-10.csv', null];
        yield ['ours against quill-fair.csv', null];
        yield ['hours.csv', null];
        yield ['inkmoorish.csv', null];
        yield ['october.csv', null];
    }

    public function test_where_there_is_no_domain_none_is_found(): void
    {
        self::assertNull(FileDomain::inShort('ours.csv', []));
    }
}
