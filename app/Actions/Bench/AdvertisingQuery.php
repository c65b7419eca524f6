<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RowOrder;
use App\Support\Sentence\Sentence;
use App\Support\Sentence\SentenceContext;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Organic and paid side by side, for the keywords of a sentence that someone advertises for.
 *
 * @phpstan-type AdvertisedRow object{keyword: string, volume: ?int, cpc: ?string, advertiser_competition: ?string,
 *     positions: string, paid: string}
 */
final class AdvertisingQuery
{
    private const SHOWN = 200;

    /**
     * @return array{domains: list<array{entry: string, day: ?string}>, counts: array{both: int, only_we: int, only_they: int},
     *     rows: list<array{keyword: string, volume: ?int, cpc: ?float, advertiser_competition: ?float, organic: list<?int>,
     *     paid: list<?int>}>} domains ours first, with the day of their paid list; most volume first
     */
    public function execute(Comparison $comparison, Sentence $sentence, string $sort = 'volume', bool $isDescending = true): array
    {
        $snapshots = SentenceContext::of($comparison)->snapshots(Snapshot::PAID);
        $paid = DB::table('rankings')
            ->select('keyword AS advertised')
            ->selectRaw(
                "json_object_agg(snapshot_id, position) AS paid, bool_or(snapshot_id = {$snapshots[0]}) AS we, bool_or(snapshot_id <> "
                    ."{$snapshots[0]}) AS they",
            )
            ->where('study_id', $comparison->study_id)
            ->whereIn('snapshot_id', array_filter($snapshots))
            ->where('ordinal', 1)
            ->groupBy('keyword');
        $rows = (new ComparisonRows($comparison))->query($sentence)->joinSub($paid, 'advertisers', 'advertised', '=', 'keyword');
        /** @var object{both: int, only_we: int, only_they: int} $counts */
        $counts = (clone $rows)
            ->selectRaw(
                'count(*) FILTER (WHERE we AND they) AS both, count(*) FILTER (WHERE we AND NOT they) AS only_we, count(*) FILTER '
                    .'(WHERE they AND NOT we) AS only_they',
            )
            ->first();
        /** @var Collection<int, AdvertisedRow> $shown */
        $shown = $rows
            ->orderByRaw(RowOrder::named($sort, \count($comparison->competitors()))->sql($isDescending))
            ->limit(self::SHOWN)
            ->get(['keyword', 'volume', 'cpc', 'advertiser_competition', 'positions', 'paid']);

        return [
            'domains' => self::domains($comparison, $snapshots),
            'counts' => ['both' => $counts->both, 'only_we' => $counts->only_we, 'only_they' => $counts->only_they],
            'rows' => array_values($shown->map(static fn(object $row): array => self::row($row, $snapshots))->all()),
        ];
    }

    /**
     * @param list<int> $snapshots
     *
     * @return list<array{entry: string, day: ?string}>
     */
    private static function domains(Comparison $comparison, array $snapshots): array
    {
        /** @var Collection<int, string> $days */
        $days = DB::table('live_snapshots')->whereIn('id', $snapshots)->pluck('day', 'id');

        return array_map(
            static fn(array $domain, int $snapshot): array => ['entry' => $domain['entry'], 'day' => $days[$snapshot] ?? null],
            $comparison->domains,
            $snapshots,
        );
    }

    /**
     * @param AdvertisedRow $row
     * @param list<int>     $snapshots
     *
     * @return array{keyword: string, volume: ?int, cpc: ?float, advertiser_competition: ?float, organic: list<?int>, paid: list<?int>}
     */
    private static function row(object $row, array $snapshots): array
    {
        /** @var array<int, int> $paid */
        $paid = json_decode($row->paid, true, 4, JSON_THROW_ON_ERROR);

        return [
            'keyword' => $row->keyword,
            'volume' => $row->volume,
            'cpc' => Figures::float($row->cpc),
            'advertiser_competition' => Figures::float($row->advertiser_competition),
            'organic' => Figures::ints($row->positions),
            'paid' => array_map(static fn(int $snapshot): ?int => $paid[$snapshot] ?? null, $snapshots),
        ];
    }
}
