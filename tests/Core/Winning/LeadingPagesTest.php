<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Winning\LeadingPages;
use PHPUnit\Framework\TestCase;

final class LeadingPagesTest extends TestCase
{
    public function test_our_own_pages_are_not_to_be_beaten(): void
    {
        $own = DomainEntry::of('quillfair.example', PublicSuffixList::fromText("example\n"));
        $urls = [
            'https://shop.quillfair.example/pen',
            'https://inkmoor.example/pen',
            'https://quillfair.example/',
            'https://nibhouse.example/pens',
        ];

        self::assertSame(['https://inkmoor.example/pen', 'https://nibhouse.example/pens'], LeadingPages::of($urls, $own));
        self::assertSame([], LeadingPages::of([], $own));
    }
}
