<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Bench\RelatingStems;
use App\Actions\Site\SitePagesQuery;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use Illuminate\Support\Facades\DB;

/**
 * Suggests internal links: our pages that rank for related keywords and don't link to the topic's page yet.
 *
 * @phpstan-type InternalLink array{url: string, keyword: string, keywords: int, visits: ?float}
 */
final readonly class InternalLinksQuery
{
    /** A page below is no page that visitors or search engines come by. */
    private const WORST_POSITION = 50;
    private const MOST = 8;

    public function __construct(private SitePagesQuery $pages)
    {
    }

    /** @return list<InternalLink> those nearest to the topic first, then by visits; keyword is the nearest one */
    public function execute(Study $study, Comparison $comparison, string $topic, ?string $page): array
    {
        $models = $comparison->models();
        $stems = $models === null ? [] : RelatingStems::of($study, $models, $topic);
        if ($stems === []) {
            return [];
        }
        $patterns = array_map(static fn(string $stem): string => '\m'.self::asPrefix($stem), $stems);
        $matched = implode(' + ', array_fill(0, \count($patterns), '(keyword ~ ?)::int'));
        $linking = $page === null ? [] : [$page, ...$this->pages->linkingTo($study, $page)];
        $rows = $comparison->table()->query()
            ->whereNotNull('own_url')
            ->where('own_position', '<=', self::WORST_POSITION)
            ->where('topic', '!=', $topic)
            ->whereRaw("{$matched} > 0", $patterns)
            ->whereNotIn('own_url', $linking)
            ->groupBy('own_url')
            ->selectRaw("own_url AS url, max({$matched}) AS matched", $patterns)
            ->selectRaw("(array_agg(keyword ORDER BY {$matched} DESC, visits_now DESC NULLS LAST, keyword))[1] AS keyword", $patterns)
            ->selectRaw('count(*) AS keywords, sum(visits_now) AS visits');

        /** @var list<object{url: string, keyword: string, keywords: int, visits: ?string}> $pages */
        $pages = DB::query()->fromSub($rows, 'pages')->orderByRaw('matched DESC, visits DESC NULLS LAST, url')
            ->limit(self::MOST)->get()->all();

        return array_map(static fn(object $page): array => [
            'url' => $page->url,
            'keyword' => $page->keyword,
            'keywords' => $page->keywords,
            'visits' => Figures::float($page->visits),
        ], $pages);
    }

    /** How the words of a stem begin; a y at their end is an i in the stem. */
    private static function asPrefix(string $stem): string
    {
        $start = preg_quote($stem);

        return str_ends_with($start, 'i') ? substr($start, 0, -1).'[iy]' : $start;
    }
}
