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
        $wanted = array_filter(Words::of($keyword), static fn(string $word): bool => mb_strlen($word, 'UTF-8') >= self::SHORTEST);
        foreach ($wanted as $word) {
            if (array_intersect_key(array_flip(self::forms($word)), $there) === []) {
                return false;
            }
        }

        return $wanted !== [];
    }

    /** @return list<string> the word, and what may be its singular or plural */
    private static function forms(string $word): array
    {
        $forms = [$word, $word.'s', $word.'es'];
        foreach (['s', 'es'] as $ending) {
            if (str_ends_with($word, $ending)) {
                $forms[] = substr($word, 0, -\strlen($ending));
            }
        }

        return $forms;
    }
}
