<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Site\UrlKey;

/**
 * Tells whether a page is meant for a keyword: every word of it, short ones aside, stands in the page's path or title, singular or
 * plural. Common practice.
 */
final class PageMeaning
{
    private const SHORTEST = 3;

    public static function isMeantFor(string $keyword, string $url, string $title = ''): bool
    {
        $there = array_fill_keys(Words::of(mb_strtolower(rawurldecode(UrlKey::pathOf($url)).' '.$title, 'UTF-8')), true);
        $isMeant = false;
        foreach (Words::of($keyword) as $word) {
            if (mb_strlen($word, 'UTF-8') < self::SHORTEST) {
                continue;
            }
            if (! self::isAmong($word, $there)) {
                return false;
            }
            $isMeant = true;
        }

        return $isMeant;
    }

    /**
     * Whether a word is there, or what may be its singular or plural.
     *
     * @param array<array-key, true> $there
     */
    private static function isAmong(string $word, array $there): bool
    {
        return isset($there[$word]) || isset($there[$word.'s']) || isset($there[$word.'es'])
            || (str_ends_with($word, 's') && isset($there[substr($word, 0, -1)]))
            || (str_ends_with($word, 'es') && isset($there[substr($word, 0, -2)]));
    }
}
