<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Site\SitePagesQuery;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\PostgresStemmer;
use GreaterReach\Core\Explanation\ProposedChange;
use GreaterReach\Core\Meaning\UncoveredHeadings;
use GreaterReach\Core\Pages\PageTrouble;

/**
 * The work on our page: what it says today, what the leading pages cover and it does not, which of our pages compete with it or should link
 * to it, and the change in a sentence.
 *
 * @phpstan-import-type InternalLink from InternalLinksQuery
 * @phpstan-type PageToday array{title: ?string, h1: ?string, words: ?int, status: ?int, published: ?string, updated: ?string,
 *     inlinks: ?int, trouble: ?string, headings: list<string>}
 * @phpstan-type PageWork array{page_today: ?PageToday, uncovered: list<string>, competing_pages: list<string>,
 *     internal_links: list<InternalLink>, change: ?string}
 */
final readonly class PageWorkQuery
{
    private const MOST_UNCOVERED = 12;

    public function __construct(
        private SitePagesQuery $pages,
        private CompetitorPagesQuery $contents,
        private CompetingPagesQuery $competing,
        private InternalLinksQuery $links,
    ) {
    }

    /**
     * @param list<list<string>> $theirs headings of the leading pages
     *
     * @return PageWork
     */
    public function execute(Study $study, Comparison $comparison, PlanItem $item, ItemFacts $facts, array $theirs): array
    {
        $page = $facts->weighed?->ownUrl;
        $today = $page === null ? null : $this->today($study, $page);
        // Without the content of our page we can't tell what it lacks.
        $uncovered = $page !== null && ($today['headings'] ?? []) === []
            ? []
            : UncoveredHeadings::among($theirs, $today['headings'] ?? [], new PostgresStemmer($study->language));
        $keywords = array_map(static fn(WeighedRow $row): string => $row->keyword, $facts->open);
        $competing = $page === null ? [] : $this->competing->execute($study, $comparison, $keywords, $page);

        return [
            'page_today' => $today,
            'uncovered' => \array_slice($uncovered, 0, self::MOST_UNCOVERED),
            'competing_pages' => $competing,
            'internal_links' => $facts->topic === null ? [] : $this->links->execute($study, $comparison, $facts->topic, $page),
            'change' => self::change($item, $facts, $competing, $uncovered, $today['title'] ?? null),
        ];
    }

    /** @return ?PageToday null where neither an import nor the source has it */
    private function today(Study $study, string $page): ?array
    {
        $kept = $this->pages->at($study, $page);
        $headings = $this->contents->headings($page);

        return $kept === null && $headings === null ? null : [
            'title' => $kept['title'] ?? null,
            'h1' => $kept['h1'] ?? $headings[0] ?? null,
            'words' => $kept['words'] ?? null,
            'status' => $kept['status'] ?? null,
            'published' => $kept['published'] ?? null,
            'updated' => $kept['updated'] ?? null,
            'inlinks' => $kept['inlinks'] ?? null,
            'trouble' => PageTrouble::of($kept['status'] ?? null, $kept['is_indexable'] ?? null)?->sentence(),
            'headings' => $headings ?? (isset($kept['h1']) ? [$kept['h1']] : []),
        ];
    }

    /**
     * @param list<string> $competing
     * @param list<string> $uncovered
     */
    private static function change(PlanItem $item, ItemFacts $facts, array $competing, array $uncovered, ?string $title): ?string
    {
        $tactic = $item->tacticOfPage();
        $weighed = $facts->weighed;

        return $tactic === null || $weighed === null ? null : (new ProposedChange(
            $weighed->lead->keyword,
            $weighed->ownUrl,
            $weighed->lead->ownPosition,
            $weighed->work->target,
            max(0, \count($facts->open) - 1),
            $competing,
            $uncovered,
            $title,
        ))->sentence($tactic);
    }
}
