<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

use GreaterReach\Core\Explanation\Explanation;

/** What the data lack, and what it would tell; null where nothing is missing. */
final class MissingData
{
    public static function comparison(): Finding
    {
        return self::that(
            'no_comparison',
            [],
            'Nothing has been compared yet.',
            'Import rankings of our domain and of a competitor; a list of each is enough.',
        );
    }

    public static function competitors(int $competitors): ?Finding
    {
        return $competitors > 0 ? null : self::that(
            'no_competitors',
            [],
            'There are no competitors yet, so no gaps can be found.',
            'Find competitors and import rankings for each.',
        );
    }

    public static function volumes(int $unknown, int $all): ?Finding
    {
        $next = 'Import a keyword list with volumes to see visits.';

        return self::unknown('no_volumes', 'volume', $unknown, $all, $next);
    }

    public static function difficulties(int $unknown, int $all): ?Finding
    {
        return self::unknown('no_difficulties', 'difficulty', $unknown, $all, 'Import difficulties to see win chances.');
    }

    /** @param list<string> $domains whose rankings name no pages */
    public static function urls(array $domains): ?Finding
    {
        return $domains === [] ? null : self::that(
            'no_urls',
            ['domains' => \count($domains)],
            sprintf('The rankings of %s have no URLs, so topics there rely on wording alone.', implode(', ', $domains)),
            'Import rankings with the URL of each keyword.',
        );
    }

    public static function clicks(bool $hasClicks): ?Finding
    {
        return $hasClicks ? null : self::that(
            'no_clicks',
            [],
            'We have no clicks of our own yet, so visits use an assumed CTR curve.',
            'Import our performance data to fit the curve and find weak titles.',
        );
    }

    /** @param list<string> $domains whose newest rankings are old */
    public static function stale(array $domains, int $days): ?Finding
    {
        return $domains === [] ? null : self::that(
            'stale',
            ['domains' => \count($domains), 'days' => $days],
            sprintf('The newest rankings of %s are older than %d days.', implode(', ', $domains), $days),
            'Import newer ones.',
        );
    }

    private static function unknown(string $code, string $what, int $unknown, int $all, string $next): ?Finding
    {
        return $unknown === 0 ? null : self::that(
            $code,
            ['unknown' => $unknown, 'keywords' => $all],
            $unknown === $all
                ? sprintf('The %s of all %s is unknown.', $what, Words::keywords($all))
                : sprintf('The %s of %s of %s is unknown.', $what, Explanation::number($unknown), Words::keywords($all)),
            $next,
        );
    }

    /** @param array<string, int> $numbers */
    private static function that(string $code, array $numbers, string $words, string $next): Finding
    {
        return new Finding($code, $numbers, $words, $next, Stage::Gather, null, null);
    }
}
