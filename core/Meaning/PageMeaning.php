<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Site\UrlKey;

/** Tells whether a page is meant for a keyword: every word of it, short ones aside, stands in the page's path or title, singular or plural. Common practice. */
final class PageMeaning
{
    private const SHORTEST = 3;

    public static function isMeantFor(string $keyword, string $url, string $title = ''): bool
    {
        $there = [];
        foreach (Words::of(mb_strtolower(rawurldecode(UrlKey::pathOf($url)).' '.$title, 'UTF-8')) as $word) {
            $there[self::singular($word)] = true;
        }
        $wanted = array_filter(Words::of($keyword), static fn(string $word): bool => mb_strlen($word, 'UTF-8') >= self::SHORTEST);
        foreach ($wanted as $word) {
            if (! isset($there[self::singular($word)])) {
                return false;
            }
        }

        return $wanted !== [];
    }

    private static function singular(string $word): string
    {
        return (string) preg_replace('/(?<=\pL\pL)(?:es|s)$/u', '', $word);
    }
}
