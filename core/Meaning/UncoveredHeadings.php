<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Keyword\Stemmer;

/** Headings of leading pages that our page does not cover: none of ours shares at least half of the stems. */
final class UncoveredHeadings
{
    /**
     * @param list<list<string>> $theirs headings, page by page
     * @param list<string>       $ours
     *
     * @return list<string> each matter once, in the words of the first page that has it; those on most pages first
     */
    public static function among(array $theirs, array $ours, Stemmer $stemmer): array
    {
        $texts = [...$ours, ...array_merge(...$theirs)];
        $sets = StemSets::of(array_map(self::key(...), $texts), $stemmer);
        $known = \count($ours) === 0 ? [] : range(0, \count($ours) - 1);
        /** @var array<int, array<int, true>> $pages heading → pages that have it */
        $pages = [];
        $number = \count($ours);
        foreach ($theirs as $page => $headings) {
            foreach ($headings as $heading) {
                if (! self::isAmong($number, $known, $sets) && $sets->countOf($number) > 0) {
                    $same = self::alikeOf($number, array_keys($pages), $sets) ?? $number;
                    $pages[$same][$page] = true;
                }
                ++$number;
            }
        }
        uasort($pages, static fn(array $one, array $other): int => \count($other) <=> \count($one));

        return array_map(static fn(int $heading): string => $texts[$heading], array_keys($pages));
    }

    /** @param list<int> $others */
    private static function isAmong(int $heading, array $others, StemSets $sets): bool
    {
        return self::alikeOf($heading, $others, $sets) !== null;
    }

    /** @param list<int> $others */
    private static function alikeOf(int $heading, array $others, StemSets $sets): ?int
    {
        foreach ($others as $other) {
            if ($sets->areAlike($heading, $other)) {
                return $other;
            }
        }

        return null;
    }

    /** A heading without words is as good as none. */
    private static function key(string $heading): string
    {
        try {
            return KeywordKey::of($heading);
        } catch (InvalidValue) {
            return '';
        }
    }
}
