<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use GreaterReach\Core\Comparison\Freshness;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Lacks;
use Illuminate\Support\Facades\DB;

/** What the data of a study lack, as findings. */
final class ReadLacks
{
    /** @return \Generator<int, ?Finding> */
    public function execute(Study $study, Comparison $comparison): \Generator
    {
        yield Lacks::competitors(\count($comparison->domains) - 1);
        /** @var object{keywords: int, volumes: int, difficulties: int} $known */
        $known = $comparison->table()->query()
            ->selectRaw('count(*) AS keywords, count(volume) AS volumes, count(difficulty) AS difficulties')->sole();
        yield Lacks::volumes($known->keywords - $known->volumes, $known->keywords);
        yield Lacks::difficulties($known->keywords - $known->difficulties, $known->keywords);
        yield Lacks::urls($this->without($comparison));
        yield Lacks::clicks(DB::table('live_performance')->where('study_id', $study->id)->exists());
        $today = now('UTC')->toDateString();
        $stale = array_filter(
            $comparison->domains,
            static fn(array $domain): bool => $domain['snapshot'] !== null && Freshness::isStale($domain['snapshot'], $today),
        );
        yield Lacks::stale(array_column($stale, 'entry'), Freshness::STALE_AFTER_DAYS);
    }

    /** @return list<string> domains whose compared rankings name no page at all */
    private function without(Comparison $comparison): array
    {
        $without = [];
        foreach ($comparison->domains as $domain) {
            $snapshot = DB::table('live_snapshots')->where('domain_id', $domain['id'])->where('channel', $comparison->channel)
                ->where('day', $domain['snapshot'])->value('id');
            $rankings = DB::table('rankings')->where('study_id', $comparison->study_id)->where('snapshot_id', Figures::int($snapshot));
            if ($snapshot !== null && $rankings->clone()->exists() && ! $rankings->whereNotNull('url')->exists()) {
                $without[] = $domain['entry'];
            }
        }

        return $without;
    }
}
