<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Winning\AuthorityPeer;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Evidence;
use GreaterReach\Core\Winning\EvidenceFact;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\PageOneResult;
use PHPUnit\Framework\TestCase;

final class EvidenceTest extends TestCase
{
    private const COMPETITORS = [
        'peer.example' => ['position' => 4, 'authority' => 58.0],
        'peer-too.example' => ['position' => 40, 'authority' => 48.0],
        'small.example' => ['position' => 10, 'authority' => 12.0],
        'giant.example' => ['position' => 1, 'authority' => 90.0],
        'unknown.example' => ['position' => 2, 'authority' => null],
    ];

    public function test_a_weaker_site_lies_below_the_band_and_on_page_one(): void
    {
        $weaker = static fn(float $authority, ?int $position): bool => \in_array('weaker_site', array_column(
            (new Evidence(ComfortDifficulty::fromDifficulties([]), 53.0))
                ->of('k', 60.0, Ground::none(), [], ['small.example' => ['position' => $position, 'authority' => $authority]], []),
            'code',
        ), true);
        self::assertSame(
            [true, false, false, false],
            [$weaker(47.9, 10), $weaker(48.0, 10), $weaker(47.9, 11), $weaker(47.9, null)],
        );
    }

    public function test_each_fact_has_its_numbers_in_a_sentence(): void
    {
        $pageOne = [
            new PageOneResult(1, 'https://a.example/', 80, 60, 40, 'Blue Ink Bottles for Pens'),
            new PageOneResult(2, 'https://b.example/', 20, 20, 0, 'All about ink'),
            new PageOneResult(3, 'https://c.example/'),
        ];
        $facts = (new Evidence(
            ComfortDifficulty::fromArray([
                'value' => 34.0,
                'keywords' => 200,
                'isAssumed' => false,
                'p50' => null,
                'p75' => null,
                'p90' => null,
            ]),
            53.0,
        ))->of('ink bottles', 28.04, Ground::held(5, 9), ['bottl', 'ink'], self::COMPETITORS, $pageOne);
        self::assertSame(
            [
                'peers' => '1 of 2 competitors of comparable authority (53 ± 5) are in the top 10.',
                'weaker_site' => 'small.example, with an authority of 12 against our 53, is at position 10.',
                'pages_without_links' => '1 of the 2 pages on page one with a known figure have no referring domains.',
                'weak_pages' => '1 of the 2 pages on page one with a known figure have a strength of 20 or less.',
                'off_topic_titles' => '1 of the 2 known titles on page one lack a word of the keyword.',
                'difficulty' => 'A difficulty of 28 is within our comfort of 34.',
                'ground' => 'We rank in the top 20 for 5 of 9 keywords in related topics (bottl, ink).',
                'weaker_sites' => '1 of 2 sites on page one are weaker than ours (authority 53).',
            ],
            array_column(array_map(static fn(EvidenceFact $fact): array => [$fact->code, $fact->sentence], $facts), 1, 0),
        );
        self::assertSame(
            array_fill(0, 8, true),
            array_map(static fn(EvidenceFact $fact): bool => $fact->isEncouraging, $facts),
        );
    }

    public function test_the_strongest_two_for_and_against_come_first(): void
    {
        $weak = array_map(static fn(int $place): PageOneResult => new PageOneResult($place, "https://a{$place}.example/", 20), range(1, 9));
        $pageOne = [...$weak, new PageOneResult(10, 'https://big.example/', 90, 50, 3, 'All about k')];
        $facts = (new Evidence(ComfortDifficulty::fromDifficulties([]), 53.0))->of('k', 70.0, Ground::held(1, 9), [], [], $pageOne);
        self::assertSame(
            ['weaker_sites', 'difficulty', 'ground', 'pages_without_links', 'weak_pages', 'off_topic_titles'],
            array_map(static fn(EvidenceFact $fact): string => $fact->code, $facts),
        );
        self::assertSame('9 of 10 sites on page one are weaker than ours (authority 53).', $facts[0]->sentence);
        self::assertSame([true, false, false], [$facts[0]->isEncouraging, $facts[1]->isEncouraging, $facts[2]->isEncouraging]);
    }

    /** Common practice: an authority of 53 keeps 48 to 58 as peers. */
    public function test_peers_lie_within_the_band(): void
    {
        self::assertSame(
            ['weaker', 'comparable', 'comparable', 'stronger', 'stronger', 'giant', null],
            array_map(
                static fn(?float $authority): ?string => AuthorityPeer::of($authority, 53.0, 5.0)?->value,
                [47.9, 48.0, 58.0, 58.1, 77.9, 78.0, null],
            ),
        );
    }

    public function test_what_is_not_known_is_not_said(): void
    {
        $unknown = new Evidence(ComfortDifficulty::fromDifficulties([]), null);
        self::assertSame([], $unknown->of('k', null, Ground::none(), [], self::COMPETITORS, []));
        $bare = array_map(static fn(int $place): PageOneResult => new PageOneResult($place, "https://a{$place}.example/"), range(1, 10));
        self::assertSame([], $unknown->of('k', null, Ground::none(), [], [], $bare), 'Ten pages of which nothing is known.');
        $facts = (new Evidence(ComfortDifficulty::fromDifficulties([]), 53.0))->of('k', 60.0, Ground::held(0, 0), [], [], []);
        self::assertSame(
            ['A difficulty of 60 is beyond our comfort of 30 (assumed).'],
            array_map(static fn(EvidenceFact $fact): string => $fact->sentence, $facts),
        );
    }

    public function test_ground_encourages_from_half_of_it_on(): void
    {
        $says = static fn(int $held, int $of): bool => (new Evidence(ComfortDifficulty::fromDifficulties([]), null))
            ->of('k', null, Ground::held($held, $of), ['ink'], [], [])[0]->isEncouraging;
        self::assertSame([false, true, true, false], [$says(2, 5), $says(3, 5), $says(2, 4), $says(1, 3)]);
    }

    public function test_a_peer_lies_within_the_band_and_a_giant_far_beyond_it(): void
    {
        $of = static fn(float $authority): ?AuthorityPeer => AuthorityPeer::of($authority, 40.0, 5.0);
        [$same, $above, $below] = [AuthorityPeer::Comparable, AuthorityPeer::Stronger, AuthorityPeer::Weaker];
        self::assertSame([$same, $same, $above, $below], [$of(35.0), $of(45.0), $of(45.1), $of(34.9)]);
        self::assertSame([$above, $below], [AuthorityPeer::of(40.5, 40.0, .2), AuthorityPeer::of(39.5, 40.0, .2)]);
        // Five bands above ours; from memory.
        self::assertSame([AuthorityPeer::Giant, AuthorityPeer::Stronger], [$of(65.0), $of(64.9)]);
        self::assertNull(AuthorityPeer::of(null, 40.0, 5.0) ?? AuthorityPeer::of(40.0, null, 5.0));
    }
}
