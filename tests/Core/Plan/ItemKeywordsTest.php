<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Plan\ItemKeywords;
use GreaterReach\Core\Plan\Unit;
use PHPUnit\Framework\TestCase;

/** No keyword counts in two items of a roadmap. */
final class ItemKeywordsTest extends TestCase
{
    private const OPEN = ['best pen' => 'pen', 'ink' => 'ink', 'pen' => 'pen', 'pen case' => 'pen'];

    public function test_a_page_has_the_open_keywords_of_its_topic(): void
    {
        self::assertSame([['best pen', 'pen', 'pen case'], []], ItemKeywords::of([self::page('pen'), self::page(null)], self::OPEN));
    }

    public function test_what_is_planned_by_itself_leaves_its_topic(): void
    {
        $items = [self::page('pen'), self::alone('pen case')];
        self::assertSame([['best pen', 'pen'], ['pen case']], ItemKeywords::of($items, self::OPEN));
        self::assertSame([['pen case'], ['best pen', 'pen']], ItemKeywords::of(array_reverse($items), self::OPEN), 'Whoever came first.');
    }

    public function test_of_two_pages_that_became_one_topic_each_keeps_what_it_was_planned_with(): void
    {
        $items = [self::page('pen', ['pen']), self::page('pen', ['best pen'])];
        self::assertSame([['pen', 'pen case'], ['best pen']], ItemKeywords::of($items, self::OPEN));
    }

    public function test_a_dropped_item_has_what_nobody_else_claims(): void
    {
        $dropped = ['is_alive' => false];
        self::assertSame([['best pen', 'pen', 'pen case']], ItemKeywords::of([[...self::page('pen'), ...$dropped]], self::OPEN));
        self::assertSame(
            [[], ['best pen', 'pen', 'pen case']],
            ItemKeywords::of([[...self::page('pen', ['pen']), ...$dropped], self::page('pen')], self::OPEN),
        );
        self::assertSame(
            [['best pen', 'pen', 'pen case'], []],
            ItemKeywords::of([self::page('pen'), [...self::alone('pen'), ...$dropped]], self::OPEN),
        );
        self::assertSame([['pen']], ItemKeywords::of([[...self::alone('pen'), ...$dropped]], self::OPEN));
    }

    public function test_however_they_lie_no_keyword_counts_twice_and_none_of_a_planned_topic_is_lost(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(17));
        for ($round = 0; $round < 200; ++$round) {
            $items = $open = [];
            foreach (range(1, 12) as $keyword) {
                $open["k{$keyword}"] = 't'.$random->getInt(1, 4);
            }
            foreach (range(1, 7) as $ignored) {
                $some = ['k'.$random->getInt(1, 12), 'k'.$random->getInt(1, 12)];
                $item = $random->getInt(0, 2) === 0 ? self::alone($some[0]) : self::page('t'.$random->getInt(1, 4), $some);
                $items[] = [...$item, 'is_alive' => $random->getInt(0, 3) > 0];
            }
            $counted = array_merge(...ItemKeywords::of($items, $open));
            self::assertSame(\count($counted), \count(array_unique($counted)));
            $topics = array_column(array_filter($items, static fn(array $item): bool => $item['unit'] === Unit::Topic), 'topic');
            foreach ($open as $keyword => $topic) {
                self::assertTrue(! \in_array($topic, $topics, true) || \in_array($keyword, $counted, true));
            }
        }
    }

    /**
     * @param list<string> $planned
     *
     * @return array{unit: Unit, name: string, topic: ?string, is_alive: bool, planned: list<string>}
     */
    private static function page(?string $topic, array $planned = []): array
    {
        return ['unit' => Unit::Topic, 'name' => (string) $topic, 'topic' => $topic, 'is_alive' => true, 'planned' => $planned];
    }

    /** @return array{unit: Unit, name: string, topic: ?string, is_alive: bool, planned: list<string>} */
    private static function alone(string $keyword): array
    {
        return ['unit' => Unit::Keyword, 'name' => $keyword, 'topic' => null, 'is_alive' => true, 'planned' => [$keyword]];
    }
}
