<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\Study;
use GreaterReach\Core\Priority\TacticRule;
use Illuminate\Support\Facades\DB;

/** Our other pages that rank for the keywords of an item and so compete with its page. */
final class CompetingPagesQuery
{
    /**
     * @param list<string> $keywords
     *
     * @return list<string> URL keys, those with most keywords first
     */
    public function execute(Study $study, Comparison $comparison, array $keywords, string $page): array
    {
        $own = $comparison->domains[0];
        /** @var list<string> */
        return DB::table('rankings')
            ->join('live_snapshots', 'live_snapshots.id', '=', 'snapshot_id')
            ->where('rankings.study_id', $study->id)
            ->where('domain_id', $own['id'])
            ->where('channel', $comparison->channel)
            ->where('day', $own['snapshot'])
            ->where('position', '<=', TacticRule::OWN_PAGE_WITHIN)
            ->whereIn('keyword', $keywords)
            ->whereNotNull('url')
            ->where('url', '!=', $page)
            ->groupBy('url')
            ->orderByRaw('count(*) DESC, url')
            ->pluck('url')
            ->all();
    }
}
