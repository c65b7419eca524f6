<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RowOrder;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Results\PageOne;
use GreaterReach\Core\Winning\PageOneResult;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Page one of every keyword that a sentence shows, in one table, with the weak results told.
 *
 * @phpstan-type ShownResult array{position: int, url: string, title: ?string, authority: ?float, page_strength: ?float,
 *     referring_domains: ?int, day: string, is_weak: bool, is_off_topic: ?bool}
 * @phpstan-type PageOneLine array{keyword: string, volume: ?int, difficulty: ?float, own_position: ?int, weak: int,
 *     results: list<ShownResult>}
 * @phpstan-type ResultLine object{keyword: string, position: int, url: string, title: ?string, authority: ?string,
 *     page_strength: ?string, referring_domains: ?int, day: string}
 */
final class PageOneQuery
{
    private const MOST = 100;

    /**
     * @return list<PageOneLine> most volume first; no results where none are known
     */
    public function execute(Comparison $comparison, Sentence $sentence, string $sort = 'volume', bool $isDescending = true): array
    {
        /** @var Collection<int, object{keyword: string, volume: ?int, difficulty: ?string, own_position: ?int}> $rows */
        $rows = (new ComparisonRows($comparison))
            ->query($sentence)
            ->orderByRaw(RowOrder::named($sort, \count($comparison->competitors()))->sql($isDescending))
            ->limit(self::MOST)
            ->get(['keyword', 'volume', 'difficulty', 'own_position']);
        $results = self::results($comparison, array_map(static fn(object $row): string => $row->keyword, array_values($rows->all())));

        return array_values(
            $rows
                ->map(static fn(object $row): array => [
                    'keyword' => $row->keyword,
                    'volume' => $row->volume,
                    'difficulty' => Figures::float($row->difficulty),
                    'own_position' => $row->own_position,
                    'weak' => \count(array_filter($results[$row->keyword] ?? [], static fn(array $one): bool => $one['is_weak'])),
                    'results' => $results[$row->keyword] ?? [],
                ])
                ->all(),
        );
    }

    /** @return list<ShownResult> of one keyword; none where none are known */
    public function ofKeyword(Comparison $comparison, string $keyword): array
    {
        return self::results($comparison, [$keyword])[$keyword] ?? [];
    }

    /**
     * @param list<string> $keywords
     *
     * @return array<string, list<ShownResult>> keyword → the newest that are known, best first
     */
    private static function results(Comparison $comparison, array $keywords): array
    {
        /** @var Collection<string, Collection<int, ResultLine>> $results */
        $results = DB::table('live_results')
            ->where('study_id', $comparison->study_id)
            ->whereIn('keyword', $keywords)
            ->where('position', '<=', PageOne::LAST)
            ->orderBy('position')
            ->get(['keyword', 'day', 'position', 'url', 'title', 'authority', 'page_strength', 'referring_domains'])
            ->groupBy('keyword');

        return $results
            ->map(static fn(Collection $all): array => array_values($all->where('day', $all->max('day'))->map(self::result(...))->all()))
            ->all();
    }

    /**
     * @param ResultLine $row
     *
     * @return ShownResult
     */
    private static function result(object $row): array
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
            'title' => $row->title,
            'authority' => $result->authority,
            'page_strength' => $result->pageStrength,
            'referring_domains' => $result->referringDomains,
            'day' => $row->day,
            'is_weak' => $result->isWeak(),
            'is_off_topic' => $result->isOffTopic($row->keyword),
        ];
    }
}
