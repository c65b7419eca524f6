<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

use GreaterReach\Core\Explanation\Explanation;

/** What the data lack, and what it would tell; null where nothing is missing. */
final class Lacks
{
    public static function comparison(): Finding
    {
        return self::that(
            'no_comparison',
            [],
            'Nothing has been compared yet.',
            'Bring in rankings of our domain and of a competitor; a list of each is enough.',
        );
    }

    public static function competitors(int $competitors): ?Finding
    {
        return $competitors > 0 ? null : self::that(
            'no_competitors',
            [],
            'Our domain is compared with nobody, so that no gap can be seen.',
            'Find competitors, and bring in a list of each.',
        );
    }

    public static function volumes(int $unknown, int $all): ?Finding
    {
        $next = 'Bring in a keyword list with volumes: without them nothing is worth visits.';

        return self::unknown('no_volumes', 'volume', $unknown, $all, $next);
    }

    public static function difficulties(int $unknown, int $all): ?Finding
    {
        return self::unknown('no_difficulties', 'difficulty', $unknown, $all, 'Bring in difficulties: without them no chance can be told.');
    }

    /** @param list<string> $domains whose rankings name no pages */
    public static function urls(array $domains): ?Finding
    {
        return $domains === [] ? null : self::that(
            'no_urls',
            ['domains' => \count($domains)],
            sprintf('The rankings of %s name no pages, so that topics rest on words alone there.', implode(', ', $domains)),
            'Bring in rankings with the page of each keyword.',
        );
    }

    public static function clicks(bool $hasClicks): ?Finding
    {
        return $hasClicks ? null : self::that(
            'no_clicks',
            [],
            'No clicks of our own are known, so that visits go by an assumed curve.',
            'Bring in our performance data: the curve is then fitted to it, and titles can be judged.',
        );
    }

    /** @param list<string> $domains whose newest rankings are old */
    public static function stale(array $domains, int $days): ?Finding
    {
        return $domains === [] ? null : self::that(
            'stale',
            ['domains' => \count($domains), 'days' => $days],
            sprintf('The newest rankings of %s are older than %d days.', implode(', ', $domains), $days),
            'Bring in newer ones.',
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
