<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Winning\LinkProspect;
use PHPUnit\Framework\TestCase;

final class LinkProspectTest extends TestCase
{
    private const LEADS = 'https://inkmoor.example/pens';
    private const BESIDE = 'https://penhouse.example/guide';
    private const OURS = 'https://quillfair.example/pens';

    public function test_who_links_to_most_pages_that_lead_comes_first_then_authority_then_name(): void
    {
        $found = self::among([
            ['late.example', self::LEADS, 20.0],
            ['early.example', self::LEADS, 20.0],
            ['unknown.example', self::LEADS, null],
            ['both.example', self::LEADS, null],
            ['both.example', self::BESIDE, 3.0],
            ['both.example', self::BESIDE, 1.0],
            ['strong.example', self::BESIDE, 70.0],
        ]);
        self::assertEquals([
            new LinkProspect('both.example', 3.0, [self::LEADS, self::BESIDE]),
            new LinkProspect('strong.example', 70.0, [self::BESIDE]),
            new LinkProspect('early.example', 20.0, [self::LEADS]),
            new LinkProspect('late.example', 20.0, [self::LEADS]),
            new LinkProspect('unknown.example', null, [self::LEADS]),
        ], $found);
    }

    public function test_who_links_to_us_already_or_is_compared_is_no_prospect(): void
    {
        self::assertSame([], self::among([
            ['friend.example', self::LEADS, 9.0],
            ['friend.example', self::OURS, 9.0],
            ['inkmoor.example', self::BESIDE, 40.0],
            ['elsewhere.example', 'https://inkmoor.example/other', 40.0],
        ]));
    }

    /**
     * @param list<array{string, string, ?float}> $links
     *
     * @return list<LinkProspect>
     */
    private static function among(array $links): array
    {
        return LinkProspect::among(
            $links,
            [self::BESIDE, self::LEADS],
            static fn(string $url): bool => str_starts_with($url, 'https://quillfair.example/'),
            ['quillfair.example', 'inkmoor.example'],
        );
    }
}
