<?php

declare(strict_types=1);

namespace Tests\Core\Comparison;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Comparison\CompetitorFinder;
use GreaterReach\Core\Comparison\DomainPages;
use GreaterReach\Core\Comparison\PageTally;
use GreaterReach\Core\Comparison\Ranking;
use PHPUnit\Framework\TestCase;

final class PagesAndCandidatesTest extends TestCase
{
    /** A fact of the trade, common practice: the keyword first thought of is often not the one that brings a page most visits. */
    public function test_a_page_has_its_keywords_visits_and_traffic_leader(): void
    {
        $pages = new DomainPages(CtrCurve::default());
        $pages->add(new Ranking('bee hive', 40, 'https://a.example/hives'), 10000, true);
        $pages->add(new Ranking('cedar hive kit', 1, 'https://a.example/hives'), 900, false);
        $pages->add(new Ranking('hive', 3, 'https://a.example/hives'), null, false);
        $pages->add(new Ranking('bee suit', 1, 'https://a.example/suits'), 100, true);
        $pages->add(new Ranking('nothing', 1), 100, true);
        $tallies = $pages->tallies();
        self::assertSame(
            ['https://a.example/hives', 'https://a.example/suits'],
            array_map(static fn(PageTally $page): string => $page->url, $tallies),
        );
        self::assertSame([3, 'cedar hive kit', 2], [$tallies[0]->keywords, $tallies[0]->trafficLeader, $tallies[0]->weLack]);
        self::assertEqualsWithDelta(10000 * 0.004 * (15 / 40) ** 2 + 900 * 0.325, $tallies[0]->visits, 1e-9);
        self::assertEqualsWithDelta(1.0, (float) $tallies[0]->shareOfVisits + (float) $tallies[1]->shareOfVisits, 1e-12);
    }

    public function test_pages_without_visits_have_no_share(): void
    {
        $pages = new DomainPages(CtrCurve::default());
        $pages->add(new Ranking('b', 1, 'https://a.example/x'), 0, true);
        $pages->add(new Ranking('a', 1, 'https://a.example/x'), 0, true);
        self::assertEquals([new PageTally('https://a.example/x', 2, 0.0, 'a', 0, null)], $pages->tallies());
    }

    public function test_a_keyword_that_brings_less_leads_no_page_whatever_its_letters(): void
    {
        $pages = new DomainPages(CtrCurve::default());
        $pages->add(new Ranking('b', 1, 'https://a.example/x'), 900, true);
        $pages->add(new Ranking('a', 1, 'https://a.example/x'), 300, true);
        self::assertSame('b', $pages->tallies()[0]->trafficLeader);
    }

    public function test_candidates_are_ordered_by_what_they_share_with_us(): void
    {
        $finder = new CompetitorFinder();
        $finder->add(['b.example', 'a.example'], true);
        $finder->add(['b.example', 'c.example'], true);
        $finder->add(['b.example', 'stranger.example'], false);
        $finder->add([], true);
        self::assertSame([
            ['domain' => 'b.example', 'in_common' => 2, 'we_lack' => 1, 'they_lack' => 1, 'authority' => 58.0, 'is_peer' => true],
            ['domain' => 'a.example', 'in_common' => 1, 'we_lack' => 0, 'they_lack' => 2, 'authority' => 59.0, 'is_peer' => false],
            ['domain' => 'c.example', 'in_common' => 1, 'we_lack' => 0, 'they_lack' => 2, 'authority' => null, 'is_peer' => null],
        ], $finder->candidates(['b.example' => 58.0, 'a.example' => 59.0], 53.0, 5.0));
    }
}
