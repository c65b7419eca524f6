<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Comparison\GatheredKeyword;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Metrics\Metrics;

/**
 * Everything gathered of one keyword as a line of a file, since all must be known of all keywords before the first can be
 * weighed. Two JSON lists with a tab between them: what weighing needs, and what learning needs beside it, the competitors' pages. The
 * pages of a domain are a flat list, position and URL by turns.
 * Beside what is gathered and known stand the median of the referring domains on page one, and the features of the results page.
 *
 * @phpstan-type Read array{GatheredKeyword, Metrics, ?float, list<string>}
 */
final class GatheredLine
{
    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    /** @param ?float $median referring domains of the pages at 1–10 */
    public static function of(GatheredKeyword $gathered, Metrics $metrics, ?float $median): string
    {
        $pages = $features = [];
        foreach ($gathered->rankings as $rankings) {
            $flat = [];
            foreach ($rankings as $page) {
                $flat[] = $page->position;
                $flat[] = $page->url;
                if ($page->features !== null) {
                    $features[] = $page->features;
                }
            }
            $pages[] = $flat;
        }
        $own = array_shift($pages);
        $first = [
            $gathered->keyword, $gathered->positions(), $own, $gathered->previous, $metrics->volume, $metrics->difficulty, $metrics->cpc,
            $metrics->advertiserCompetition, $metrics->monthly, $metrics->volumeIsDerived, $median,
            $features === [] ? [] : FeatureClicks::together($features),
        ];

        return json_encode($first, self::FLAGS)."\t".json_encode($pages, self::FLAGS)."\n";
    }

    /** @return Read with all pages of all domains */
    public static function learnable(string $line): array
    {
        [$first, $second] = explode("\t", $line, 2);
        /** @var list<list<int|string|null>> $pages */
        $pages = json_decode($second, true, 4, JSON_THROW_ON_ERROR);

        return self::read($first, $pages);
    }

    /** @return Read of competitors the best position alone, which is enough for weighing and quicker */
    public static function weighable(string $line): array
    {
        return self::read((string) strstr($line, "\t", true), []);
    }

    /**
     * @param list<list<int|string|null>> $theirs the competitors' pages; who has none of these gets one from the best position
     *
     * @return Read
     */
    private static function read(string $json, array $theirs): array
    {
        /**
         * @var array{string, list<?int>, list<int|string|null>, list<?int>, ?int, ?float, ?float, ?float, ?list<?int>, bool, ?float,
         *     list<string>} $cells
         */
        $cells = json_decode($json, true, 4, JSON_THROW_ON_ERROR);
        [$keyword, $positions, $own, $previous, $volume, $difficulty, $cpc, $competition, $monthly, $derived, $median, $features] = $cells;
        $rankings = [self::rankings($keyword, $own)];
        for ($domain = 1, $domains = \count($positions); $domain < $domains; ++$domain) {
            $rankings[] = match (true) {
                $positions[$domain] === null => [],
                isset($theirs[$domain - 1][0]) => self::rankings($keyword, $theirs[$domain - 1]),
                default => [new Ranking($keyword, $positions[$domain])],
            };
        }

        return [
            new GatheredKeyword($keyword, $rankings, $previous),
            new Metrics($volume, $difficulty, $cpc, $competition, $monthly, $derived),
            $median,
            $features,
        ];
    }

    /**
     * @param list<int|string|null> $pages position and URL by turns
     *
     * @return list<Ranking>
     */
    private static function rankings(string $keyword, array $pages): array
    {
        $rankings = [];
        for ($place = 0, $end = \count($pages); $place < $end; $place += 2) {
            $rankings[] = new Ranking($keyword, (int) $pages[$place], $pages[$place + 1] === null ? null : (string) $pages[$place + 1]);
        }

        return $rankings;
    }
}
