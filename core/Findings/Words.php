<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

use GreaterReach\Core\Explanation\Explanation;

/** Counts as a person reads them in a minute. */
final class Words
{
    /** From so many on fractions of a visit say nothing. */
    private const WHOLE_FROM = 10;

    public static function keywords(int $count): string
    {
        return Explanation::number($count).($count === 1 ? ' keyword' : ' keywords');
    }

    /** @param ?float $visits a month; null where they are unknown */
    public static function about(?float $visits): string
    {
        return ($visits === null ? '' : 'about ').self::visits($visits);
    }

    /** @param ?float $visits a month; null where they are unknown */
    public static function visits(?float $visits): string
    {
        if ($visits === null) {
            return 'an unknown number of visits a month';
        }
        $rounded = abs($visits) >= self::WHOLE_FROM ? (int) round($visits) : round($visits, 1);

        return Explanation::number($rounded).' visits a month';
    }

    /** @param non-empty-list<string> $keywords the most valuable ones */
    public static function first(array $keywords): string
    {
        $last = array_pop($keywords);

        return 'Most valuable: '.($keywords === [] ? '' : implode(', ', $keywords).' and ').$last.'.';
    }
}
