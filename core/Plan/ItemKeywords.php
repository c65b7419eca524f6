<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/**
 * Which open keyword counts in which item of a roadmap: in one at most. What is planned by itself leaves its topic; where two items have
 * become one topic a keyword stays with the item that it was planned with, and else goes to the first. A dropped item has what no one
 * else claims.
 */
final class ItemKeywords
{
    /**
     * @param list<array{unit: Unit, name: string, topic: ?string, is_alive: bool, planned: list<string>}> $items name of a keyword item:
     *     the keyword; topic of a topic's: as it is called now, null where it is gone; planned: the keywords it was planned with
     * @param array<string, string> $open keyword → topic, in key order
     *
     * @return list<list<string>> keywords of each item, in key order
     */
    public static function of(array $items, array $open): array
    {
        $alone = $claims = [];
        foreach (self::order($items) as $number) {
            $item = $items[$number];
            if ($item['unit'] === Unit::Keyword) {
                $alone[$item['name']] ??= $number;
            } elseif ($item['unit'] === Unit::Topic && $item['topic'] !== null) {
                $claims[$item['topic']][] = $number;
            }
        }
        $keywords = array_fill(0, \count($items), []);
        foreach ($open as $keyword => $topic) {
            $number = self::aliveAlone($alone, (string) $keyword, $items)
                ?? self::claimant($claims[$topic] ?? [], (string) $keyword, $items)
                ?? $alone[$keyword] ?? null;
            if ($number !== null) {
                $keywords[$number][] = (string) $keyword;
            }
        }

        return $keywords;
    }

    /**
     * @param list<array{is_alive: bool, ...}> $items
     *
     * @return list<int> numbers, those that are alive first
     */
    private static function order(array $items): array
    {
        $numbers = array_keys($items);
        usort($numbers, static fn(int $a, int $b): int => [! $items[$a]['is_alive'], $a] <=> [! $items[$b]['is_alive'], $b]);

        return $numbers;
    }

    /**
     * @param array<string, int>                $alone keyword → item
     * @param list<array{is_alive: bool, ...}> $items
     */
    private static function aliveAlone(array $alone, string $keyword, array $items): ?int
    {
        $number = $alone[$keyword] ?? null;

        return $number !== null && $items[$number]['is_alive'] ? $number : null;
    }

    /**
     * @param list<int>                                              $numbers of the items of its topic
     * @param list<array{planned: list<string>, is_alive: bool, ...}> $items
     */
    private static function claimant(array $numbers, string $keyword, array $items): ?int
    {
        foreach ($numbers as $number) {
            if ($items[$number]['is_alive'] && \in_array($keyword, $items[$number]['planned'], true)) {
                return $number;
            }
        }

        return $numbers[0] ?? null;
    }
}
