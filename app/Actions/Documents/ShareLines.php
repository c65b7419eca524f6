<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Plans\ClickSharesQuery;

/**
 * Shares of clicks as lines of a printed sheet, by the rules of the drawings on screen: days in true time, a line that breaks off where
 * nothing is known, and a short stroke for what stands alone.
 *
 * @phpstan-import-type SharesOfDay from ClickSharesQuery
 */
final readonly class ShareLines
{
    /** The least share that fills the height. */
    private const LEAST = 0.01;

    /** A short stroke to both sides. */
    private const ALONE = 'm-2,0h4';

    /**
     * @param list<SharesOfDay> $days the earliest first
     *
     * @return list<string> a path of SVG 2 per domain, ours first; empty where nothing is known
     */
    public static function of(array $days, int $domains, float $width, float $height): array
    {
        $known = array_filter(array_merge([], ...array_column($days, 'shares')), static fn(?float $share): bool => $share !== null);
        $most = max([self::LEAST, ...$known]);
        $paths = [];
        for ($domain = 0; $domain < $domains; ++$domain) {
            $path = '';
            $shares = array_map(static fn(array $day): ?float => $day['shares'][$domain] ?? null, $days);
            foreach (self::across($days, $width) as $number => $x) {
                $share = $shares[$number];
                $begins = ($shares[$number - 1] ?? null) === null;
                if ($share !== null) {
                    $path .= sprintf($begins ? 'M%.1f,%.1f' : 'L%.1f,%.1f', $x, $height * (1 - $share / $most));
                    $path .= $begins && ($shares[$number + 1] ?? null) === null ? self::ALONE : '';
                }
            }
            $paths[] = $path;
        }

        return $paths;
    }

    /**
     * @param list<SharesOfDay> $days
     *
     * @return list<float> where each day lies; a single one lies at the end, as the newest does
     */
    private static function across(array $days, float $width): array
    {
        $times = array_map(static fn(array $day): int => (int) strtotime($day['day'].' UTC'), $days);
        $first = $times[0] ?? 0;
        $length = ($times[\count($times) - 1] ?? 0) - $first;

        return array_map(static fn(int $time): float => $length === 0 ? $width : $width * ($time - $first) / $length, $times);
    }
}
