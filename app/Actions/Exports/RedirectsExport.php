<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Actions\Plans\CompetingPagesQuery;
use App\Actions\Plans\PlanFacts;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Tabular\Table;
use GreaterReach\Core\Priority\Tactic;

/** The redirects of the merges on the roadmap: from each page that competes to the page that stays. */
final readonly class RedirectsExport
{
    private const HEADINGS = ['from', 'to', 'item'];

    public function __construct(private CompetingPagesQuery $competing)
    {
    }

    public function table(Study $study): Table
    {
        $comparison = $study->comparison;
        $items = PlanItem::of($study)->orderBy('month')->orderBy('id')->get()->all();
        $merges = array_filter(
            $items,
            static fn(PlanItem $item): bool => $item->isAlive() && $item->tacticOfPage() === Tactic::MergePages,
        );
        $facts = PlanFacts::of($study, $comparison, array_values($merges));
        /** @var array<string, array{string, string, string}> $rows the page that goes → the first item that names it */
        $rows = [];
        foreach ($merges as $item) {
            $ofItem = $facts->at($item);
            $page = $ofItem->weighed?->ownUrl;
            $keywords = array_map(static fn(WeighedRow $row): string => $row->keyword, $ofItem->open);
            $goes = $page === null || $comparison === null
                ? []
                : $this->competing->execute($study, $comparison, $keywords, $page);
            foreach ($goes as $from) {
                $rows[$from] ??= [$from, $page, $item->name];
            }
        }

        return new Table(self::HEADINGS, array_values($rows));
    }
}
