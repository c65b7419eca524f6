<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Actions\Domains\DomainFiguresQuery;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Winning\EvidenceFact;
use GreaterReach\Core\Winning\PageOneResult;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Everything about one keyword, for its dossier.
 *
 * @phpstan-type DecisionRow object{id: int, name: ?string, created_at: string, undone_at: ?string, set: ?string, tag: ?string,
 *     untag: ?string}
 * @phpstan-type SourceRow object{kind: string, day: string, domain: ?string, file_name: ?string, volume: ?int,
 *     difficulty: ?string, cpc: ?string}
 * @phpstan-type FigureSource array{kind: string, day: string, domain: ?string, file: ?string, volume: ?int, difficulty: ?float,
 *     cpc: ?float}
 * @phpstan-type ResultRow object{position: int, url: string, authority: ?string, page_strength: ?string, referring_domains: ?int,
 *     title: ?string, day: string}
 * @phpstan-type PageOneEvidence array{position: int, url: string, authority: ?float, page_strength: ?float,
 *     referring_domains: ?int, title: ?string, day: string, is_weak: bool, is_off_topic: ?bool}
 */
final readonly class KeywordQuery
{
    public function __construct(private ExplainKeyword $explain, private DomainFiguresQuery $figures, private BaseRateQuery $baseRate)
    {
    }

    /**
     * @param Weights $weights that its priority is told by
     *
     * @return ?array<string, mixed> null when the comparison does not have the keyword
     */
    public function execute(Comparison $comparison, string $keyword, Weights $weights): ?array
    {
        $source = new ComparisonRows($comparison);
        $row = $source->at($keyword);
        if ($row === null) {
            return null;
        }

        $sources = $this->sources($comparison->study_id, $keyword);
        $pageOne = $this->pageOne($comparison->study_id, $keyword);
        $pages = $this->pages($comparison, $keyword);
        $leadingPage = self::leadingPage($comparison, $pages);

        return [
            ...$source->presentAll([$row])[0],
            'scores' => $row->scores?->toArray() ?? array_fill_keys(Criterion::names(), null),
            'priority' => $row->scores === null ? null : $weights->priorityOf($row->scores),
            'log' => $this->log($comparison->study_id, $keyword),
            'history' => $this->history($comparison, $keyword),
            'pages' => $pages,
            'sources' => $sources,
            'disputed_authority' => $this->figures->disputed(
                Study::query()->findOrFail($comparison->study_id),
                array_column($comparison->domains, 'id'),
            ),
            'monthly' => $this->monthly($comparison->study_id, $keyword),
            'topic_keywords' => $this->topicKeywords($comparison, (string) $row->topic),
            'page_one' => $pageOne,
            'leading_page' => $leadingPage,
            ...$this->explain->figures($comparison, $row, $sources, $weights),
            'evidence' => [...$this->explain->evidence($comparison, $row, $pageOne), ...$this->baseRate($comparison, $row)],
        ];
    }

    /** @return list<EvidenceFact> what became of keywords that stood where this one stands; none where it has no target */
    private function baseRate(Comparison $comparison, WeighedRow $row): array
    {
        $fact = $row->target === null
            ? null
            : $this->baseRate->execute($comparison)->of($row->ownPosition, $row->target, $row->winChance);

        return $fact === null ? [] : [$fact];
    }

    /**
     * @return list<array{change: int, who: ?string, at: string, what: string, undone: bool}> decisions in this study about it, the newest
     *     first
     */
    private function log(int $study, string $keyword): array
    {
        /** @var list<DecisionRow> $rows */
        $rows = DB::select(
            <<<'SQL'
                SELECT c.id, u.name, c.created_at, c.undone_at, c.detail->>'set' AS set, c.detail->>'tag' AS tag,
                    c.detail->>'untag' AS untag
                FROM changes c LEFT JOIN users u ON u.id = c.user_id
                WHERE c.study_id = ? AND c.what = 'decision' AND c.detail->'before' @> ?::jsonb ORDER BY c.id DESC LIMIT 20
                SQL,
            [$study, json_encode([['keyword' => $keyword]], JSON_THROW_ON_ERROR)],
        );

        return array_map(
            static fn(object $row): array => [
                'change' => $row->id,
                'who' => $row->name,
                'at' => $row->created_at,
                'what' => self::decided($row->set, ['tag' => $row->tag, 'untag' => $row->untag]),
                'undone' => $row->undone_at !== null,
            ],
            $rows,
        );
    }

    /**
     * @param ?string                $json what was set: column → value
     * @param array<string, ?string> $tags what was done → tag
     *
     * @return string `mark: shortlisted, fit: 4`
     */
    private static function decided(?string $json, array $tags): string
    {
        /** @var ?array<string, bool|int|float|string|null> $set */
        $set = json_decode((string) $json, true);
        $parts = [];
        foreach ($set ?? [] as $column => $value) {
            if ($column !== 'reason' || $value !== null) {
                $parts[] = $column.': '.match (true) {
                    $value === null => 'none',
                    \is_bool($value) => $value ? 'yes' : 'no',
                    default => $value,
                };
            }
        }
        foreach ($tags as $what => $tag) {
            if ($tag !== null) {
                $parts[] = $what.': '.$tag;
            }
        }

        return implode(', ', $parts);
    }

    /** @return list<array{domain: int, day: string, position: ?int}> best position of each domain on each of its days */
    private function history(Comparison $comparison, string $keyword): array
    {
        /** @var list<object{domain: int, day: string, position: ?int}> $rows */
        $rows = DB::select(
            <<<'SQL'
                SELECT s.domain_id AS domain, s.day, r.position
                FROM live_snapshots s LEFT JOIN rankings r ON r.study_id = s.study_id AND r.snapshot_id = s.id AND r.keyword = ?
                    AND r.ordinal = 1
                WHERE s.study_id = ? AND s.channel = ? ORDER BY s.domain_id, s.day
                SQL,
            [$keyword, $comparison->study_id, $comparison->channel],
        );

        return array_map(
            static fn(object $row): array => ['domain' => $row->domain, 'day' => $row->day, 'position' => $row->position],
            $rows,
        );
    }

    /** @return list<object{domain: int, day: string, position: int, url: ?string}> every page of every compared domain that ranks now */
    private function pages(Comparison $comparison, string $keyword): array
    {
        $days = array_column(
            array_filter($comparison->domains, static fn(array $domain): bool => $domain['snapshot'] !== null),
            'snapshot',
            'id',
        );
        /** @var Collection<int, object{domain: int, day: string, position: int, url: ?string}> $rows */
        $rows = DB::table('rankings')
            ->join('live_snapshots', 'live_snapshots.id', '=', 'snapshot_id')
            ->where('rankings.study_id', $comparison->study_id)
            ->where('keyword', $keyword)
            ->where('channel', $comparison->channel)
            ->whereIn('domain_id', array_keys($days))
            ->orderBy('position')
            ->orderBy('ordinal')
            ->get(['domain_id as domain', 'day', 'position', 'url']);

        return array_values($rows->filter(static fn(object $row): bool => $days[$row->domain] === $row->day)->all());
    }

    /**
     * The leading page of the competitors: the best of the best pages of each domain, by the rule of `GroundIndex`.
     *
     * @param list<object{domain: int, day: string, position: int, url: ?string}> $pages the best first
     */
    private static function leadingPage(Comparison $comparison, array $pages): ?string
    {
        $best = [];
        foreach ($pages as $page) {
            $best[$page->domain] ??= $page;
        }
        $leading = null;
        foreach (\array_slice($comparison->domains, 1) as $domain) {
            $page = $best[$domain['id']] ?? null;
            $isCounted = $page !== null && PageGraph::counts($page->url, $page->position);
            if ($isCounted && ($leading === null || $page->position < $leading->position)) {
                $leading = $page;
            }
        }

        return $leading?->url;
    }

    /** @return list<FigureSource> what each source says, the newest first */
    private function sources(int $study, string $keyword): array
    {
        /** @var list<SourceRow> $rows */
        $rows = DB::select(
            <<<'SQL'
                SELECT s.kind, s.day, d.entry AS domain, i.file_name, m.volume, m.difficulty, m.cpc
                FROM metrics m JOIN live_sources s ON s.id = m.source_id JOIN imports i ON i.id = s.import_id LEFT
                    JOIN domains d ON d.id = s.domain_id
                WHERE m.study_id = ? AND m.keyword = ? ORDER BY s.kind, s.day DESC, s.id DESC LIMIT 30
                SQL,
            [$study, $keyword],
        );

        return array_map(
            static fn(object $row): array => [
                'kind' => $row->kind,
                'day' => $row->day,
                'domain' => $row->domain,
                'file' => $row->file_name,
                'volume' => $row->volume,
                'difficulty' => Figures::float($row->difficulty),
                'cpc' => Figures::float($row->cpc),
            ],
            $rows,
        );
    }

    /** @return ?list<?int> volume by month of the newest list that has it */
    private function monthly(int $study, string $keyword): ?array
    {
        /** @var ?object{monthly: string} $row */
        $row = DB::selectOne(
            'SELECT m.monthly FROM metrics m JOIN live_sources s ON s.id = m.source_id WHERE m.study_id = ? AND m.keyword = ? AND '
                .'m.monthly IS NOT NULL ORDER BY s.day DESC, s.id DESC LIMIT 1',
            [$study, $keyword],
        );

        return $row === null ? null : Figures::ints($row->monthly);
    }

    /** @return list<array{keyword: string, volume: ?int, own_position: ?int}> */
    private function topicKeywords(Comparison $comparison, string $topic): array
    {
        $rows = $comparison->table()->query()->where('topic', $topic)->orderByRaw('volume DESC NULLS LAST, keyword')->limit(50);

        return array_map(
            static fn(WeighedRow $row): array => [
                'keyword' => $row->keyword,
                'volume' => $row->volume,
                'own_position' => $row->ownPosition,
            ],
            ComparisonRows::read($rows),
        );
    }

    /** @return list<PageOneEvidence> the newest page-one results */
    private function pageOne(int $study, string $keyword): array
    {
        /** @var array<int, ResultRow> $rows */
        $rows = DB::table('live_results')->where('study_id', $study)->where('keyword', $keyword)
            ->whereRaw('day = (SELECT max(day) FROM live_results WHERE study_id = ? AND keyword = ?)', [$study, $keyword])
            ->orderBy('position')->limit(20)
            ->get(['position', 'url', 'authority', 'page_strength', 'referring_domains', 'title', 'day'])->all();

        return array_values(array_map(static fn(object $row): array => self::result($keyword, $row), $rows));
    }

    /**
     * @param ResultRow $row
     *
     * @return PageOneEvidence
     */
    private static function result(string $keyword, object $row): array
    {
        $result = new PageOneResult(
            $row->position,
            $row->url,
            Figures::float($row->authority),
            Figures::float($row->page_strength),
            $row->referring_domains,
            $row->title,
        );

        return [
            'position' => $result->position,
            'url' => $result->url,
            'authority' => $result->authority,
            'page_strength' => $result->pageStrength,
            'referring_domains' => $result->referringDomains,
            'title' => $result->title,
            'day' => $row->day,
            'is_weak' => $result->isWeak(),
            'is_off_topic' => $result->isOffTopic($keyword),
        ];
    }
}
