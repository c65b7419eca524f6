<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Models\Comparison;
use App\Models\Study;
use GreaterReach\Core\Comparison\Freshness;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\MissingData;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** What the data of a study lack, as findings. */
final class MissingDataQuery
{
    /** @return \Generator<int, ?Finding> */
    public function execute(Study $study, Comparison $comparison): \Generator
    {
        yield MissingData::competitors(\count($comparison->domains) - 1);
        /** @var object{keywords: int, volumes: int, difficulties: int} $known */
        $known = $comparison->table()->query()
            ->selectRaw('count(*) AS keywords, count(volume) AS volumes, count(difficulty) AS difficulties')->sole();
        yield MissingData::volumes($known->keywords - $known->volumes, $known->keywords);
        yield MissingData::difficulties($known->keywords - $known->difficulties, $known->keywords);
        yield MissingData::urls($this->without($comparison));
        yield MissingData::clicks(DB::table('live_performance')->where('study_id', $study->id)->exists());
        $today = now('UTC')->toDateString();
        $stale = array_filter(
            $comparison->domains,
            static fn(array $domain): bool => $domain['snapshot'] !== null && Freshness::isStale($domain['snapshot'], $today),
        );
        yield MissingData::stale(array_column($stale, 'entry'), Freshness::STALE_AFTER_DAYS);
    }

    /** @return list<string> domains whose compared rankings name no page at all */
    private function without(Comparison $comparison): array
    {
        $rankings = DB::table('rankings')->where('study_id', $comparison->study_id)->whereColumn('snapshot_id', 'live_snapshots.id');
        $without = DB::table('live_snapshots')->where('study_id', $comparison->study_id)->where('channel', $comparison->channel)
            ->whereExists($rankings)->whereNotExists($rankings->clone()->whereNotNull('url'))
            ->where(static function (Builder $these) use ($comparison): void {
                foreach ($comparison->domains as $domain) {
                    $these->orWhere([['domain_id', '=', $domain['id']], ['day', '=', $domain['snapshot']]]);
                }
            })
            ->pluck('domain_id')->all();

        return array_column(
            array_filter($comparison->domains, static fn(array $domain): bool => \in_array($domain['id'], $without, true)),
            'entry',
        );
    }
}
