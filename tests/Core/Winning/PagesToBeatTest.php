<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Winning\PagesToBeat;
use PHPUnit\Framework\TestCase;

final class PagesToBeatTest extends TestCase
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

        self::assertSame(['https://inkmoor.example/pen', 'https://nibhouse.example/pens'], PagesToBeat::of($urls, $own));
        self::assertSame([], PagesToBeat::of([], $own));
    }
}
