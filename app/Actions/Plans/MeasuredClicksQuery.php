<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Support\Facades\DB;

/**
 * What our own performance data measured for pages, month by month: of lists that tell the same month the newest counts, and rows without
 * a day of their own belong to the day of their list. Searches for our brand stand apart.
 *
 * @phpstan-type MeasuredMonth array{day: string, clicks: int, impressions: int, brand_clicks: int}
 */
final readonly class MeasuredClicksQuery
{
    private const MONTHS = 18;

    public function __construct(private PublicSuffixList $suffixes)
    {
    }

    /**
     * @param array<int, array{keywords: list<string>, url: ?string}> $pages
     *
     * @return array<int, list<MeasuredMonth>> for each page the months that name its keywords or its address, the earliest first; clicks
     *     and impressions without those of our brand
     */
    public function execute(Study $study, array $pages): array
    {
        $keywords = array_values(array_unique(array_merge([], ...array_column($pages, 'keywords'))));
        $urls = array_values(array_unique(array_filter(array_column($pages, 'url'), static fn(?string $url): bool => $url !== null)));
        $brands = BrandMatcher::of([$study->ownDomain()->allBrandTerms($this->suffixes)]);
        [$ofKeyword, $ofUrl] = [self::owners($pages, true), self::owners($pages, false)];
        $months = array_fill_keys(array_keys($pages), []);
        foreach (self::rows($study, $keywords, $urls) as $row) {
            $isBrand = $brands->domainsIn($row->query) !== 0;
            foreach (array_unique([...$ofKeyword[$row->query] ?? [], ...$ofUrl[(string) $row->page] ?? []]) as $page) {
                $month = $months[$page][$row->month] ?? ['day' => '', 'clicks' => 0, 'impressions' => 0, 'brand_clicks' => 0];
                $months[$page][$row->month] = [
                    'day' => max($month['day'], $row->day),
                    'clicks' => $month['clicks'] + ($isBrand ? 0 : $row->clicks),
                    'impressions' => $month['impressions'] + ($isBrand ? 0 : $row->impressions),
                    'brand_clicks' => $month['brand_clicks'] + ($isBrand ? $row->clicks : 0),
                ];
            }
        }

        return array_map(static function (array $ofPage): array {
            ksort($ofPage, SORT_STRING);

            return \array_slice(array_values($ofPage), -self::MONTHS);
        }, $months);
    }

    /**
     * @param array<int, array{keywords: list<string>, url: ?string}> $pages
     *
     * @return array<array-key, list<int>> keyword, or URL key → pages
     */
    private static function owners(array $pages, bool $byKeyword): array
    {
        $owners = [];
        foreach ($pages as $number => $page) {
            foreach ($byKeyword ? $page['keywords'] : ($page['url'] === null ? [] : [$page['url']]) as $name) {
                $owners[$name][] = $number;
            }
        }

        return $owners;
    }

    /**
     * @param list<string> $keywords
     * @param list<string> $urls
     *
     * @return list<object{query: string, page: ?string, month: string, day: string, clicks: int, impressions: int}>
     */
    private static function rows(Study $study, array $keywords, array $urls): array
    {
        /** @var list<object{query: string, page: ?string, month: string, day: string, clicks: int, impressions: int}> */
        return DB::select(<<<'SQL'
            WITH wanted AS (
                SELECT p.query, p.page, p.import_id, to_char(coalesce(p.day, i.day), 'YYYY-MM') AS month, coalesce(p.day, i.day) AS day,
                    p.clicks, p.impressions
                FROM live_performance p JOIN imports i ON i.id = p.import_id
                WHERE p.study_id = ? AND (p.query IN (SELECT json_array_elements_text(?::json))
                    OR p.page IN (SELECT json_array_elements_text(?::json)))
            ), newest AS (SELECT month, query, max(import_id) AS import_id FROM wanted GROUP BY month, query)
            SELECT query, page, month, max(day)::text AS day, sum(clicks)::bigint AS clicks, sum(impressions)::bigint AS impressions
            FROM wanted JOIN newest USING (month, query, import_id) GROUP BY query, page, month
            SQL, [$study->id, json_encode($keywords, JSON_THROW_ON_ERROR), json_encode($urls, JSON_THROW_ON_ERROR)]);
    }
}
