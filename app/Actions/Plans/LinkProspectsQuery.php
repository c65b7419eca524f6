<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\Domain;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Rows\ListedRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Winning\LinkProspect;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Link prospects to the page of a topic: who links to the pages that lead there, by the newest links import of each page. */
final readonly class LinkProspectsQuery
{
    public function __construct(private PublicSuffixList $suffixes)
    {
    }

    /**
     * @param list<string> $pageOne URL keys of page one of its lead
     *
     * @return list<LinkProspect>
     */
    public function execute(Study $study, Comparison $comparison, string $topic, array $pageOne): array
    {
        $pages = array_values(array_unique([...self::leadingPages($study, $comparison, $topic), ...$pageOne]));
        $ours = $study->ownDomain()->toEntry($this->suffixes);
        $pages = array_values(array_filter($pages, static fn(string $url): bool => ! $ours->covers($url)));
        $links = self::linksTo($study, $pages);
        $own = self::ownPagesLinkedBy($study, $ours, array_values(array_unique(array_column($links, 0))));

        return LinkProspect::among(
            [...$links, ...self::linksTo($study, $own)],
            $pages,
            $ours->covers(...),
            array_map(fn(Domain $domain): string => $domain->toEntry($this->suffixes)->registrableDomain, $study->comparedDomains()),
        );
    }

    /**
     * The page that leads for each open keyword; `GroundIndex` is the rule.
     *
     * @return list<string>
     */
    private static function leadingPages(Study $study, Comparison $comparison, string $topic): array
    {
        $open = ListedRows::of($comparison, Sentence::parse('mark=kept'), $study->rulebook()->fitGate())
            ->where('topic', $topic)
            ->pluck('keyword');
        /** @var array<string, array{int, string}> $best keyword → position, URL key */
        $best = [];
        foreach (\array_slice($comparison->domains, 1) as $domain) {
            /** @var Collection<int, object{keyword: string, position: int, url: ?string}> $rows */
            $rows = DB::table('rankings')
                ->join('live_snapshots', 'live_snapshots.id', '=', 'snapshot_id')
                ->where('rankings.study_id', $study->id)
                ->where('domain_id', $domain['id'])
                ->where('channel', $comparison->channel)
                ->where('day', $domain['snapshot'])
                ->where('ordinal', 1)
                ->whereIn('keyword', $open)
                ->get(['keyword', 'position', 'url']);
            foreach ($rows as $row) {
                if (PageGraph::counts($row->url, $row->position) && $row->position < ($best[$row->keyword][0] ?? \PHP_INT_MAX)) {
                    $best[$row->keyword] = [$row->position, (string) $row->url];
                }
            }
        }

        return array_column($best, 1);
    }

    /**
     * The links to some pages, each page by the newest import that has it.
     *
     * @param list<string> $pages
     *
     * @return list<array{string, string, ?float}> registrable domain, page, authority
     */
    private static function linksTo(Study $study, array $pages): array
    {
        /** @var list<object{domain: string, target_url: string, authority: ?float}> $rows */
        $rows = DB::select(
            <<<'SQL'
                WITH wanted AS (
                    SELECT * FROM live_links WHERE study_id = ? AND target_url IN (SELECT json_array_elements_text(?::json))
                ), newest AS (
                    SELECT DISTINCT ON (target_url) target_url, import_id FROM wanted ORDER BY target_url, day DESC, import_id DESC
                )
                SELECT domain, target_url, authority FROM wanted JOIN newest USING (target_url, import_id)
                SQL,
            [$study->id, json_encode($pages, JSON_THROW_ON_ERROR)],
        );

        return array_map(
            static fn(object $row): array => [$row->domain, $row->target_url, Figures::float($row->authority)],
            $rows,
        );
    }

    /**
     * Pages of ours to which some sites were ever said to link.
     *
     * @param list<string> $domains
     *
     * @return list<string>
     */
    private static function ownPagesLinkedBy(Study $study, DomainEntry $ours, array $domains): array
    {
        $linked = DB::table('live_links')->where('study_id', $study->id)->whereIn('domain', $domains)->distinct()->pluck('target_url');

        return array_values(
            array_filter(
                array_map(static fn(mixed $url): string => (string) Figures::text($url), $linked->all()),
                $ours->covers(...),
            ),
        );
    }
}
