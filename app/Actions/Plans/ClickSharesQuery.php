<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Database\Figures;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Clicks\ShareOfClicks;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Share of clicks of every compared domain on each of our days, with today's volumes. It is kept with the comparison, while that is
 * current.
 *
 * @phpstan-type SharesOfDay array{day: string, shares: list<?float>}
 */
final class ClickSharesQuery
{
    /** So many days, the newest. */
    private const DAYS = 18;

    /** @return list<SharesOfDay> the earliest first */
    public function execute(Study $study): array
    {
        $comparison = $study->comparison;
        if ($comparison === null || $comparison->data_version !== $study->data_version) {
            return $comparison === null ? [] : $this->count($study, $comparison);
        }
        /** @var ?string $kept */
        $kept = DB::table('comparisons')->where('id', $comparison->id)->value('shares');
        if ($kept === null) {
            $kept = json_encode($this->count($study, $comparison), JSON_THROW_ON_ERROR);
            DB::table('comparisons')->where('id', $comparison->id)->update(['shares' => $kept]);
        }
        /** @var list<array{day: string, shares: list<int|float|null>}> $shares */
        $shares = json_decode($kept, true, 8, JSON_THROW_ON_ERROR);

        return array_map(static fn(array $one): array => [
            'day' => $one['day'],
            'shares' => array_map(static fn(int|float|null $share): ?float => $share === null ? null : (float) $share, $one['shares']),
        ], $shares);
    }

    /** @return list<SharesOfDay> */
    private function count(Study $study, Comparison $comparison): array
    {
        $domains = array_column($comparison->domains, 'id');
        $days = self::days($domains[0]);
        $snapshots = self::snapshots($study, $domains, $days);
        $used = array_merge([], ...array_map(array_values(...), array_values($snapshots)));
        $rows = self::rows($study, $comparison, array_values(array_unique($used)));
        $curve = $comparison->models()->curve ?? CtrCurve::default();
        $clicks = new FeatureClicks($study->rulebook()->shares('feature_clicks'));
        $shares = [];
        foreach ($days as $day) {
            $tally = new ShareOfClicks(\count($domains), $curve);
            foreach ($domains as $number => $domain) {
                foreach ($rows[$snapshots[$day][$domain] ?? 0] ?? [] as $row) {
                    $left = $clicks->shareLeft(FeatureClicks::read((string) $row->features));
                    $tally->add($row->volume, [$number => $row->position], $left);
                }
            }
            $shares[] = ['day' => $day, 'shares' => $tally->shares()];
        }

        return $shares;
    }

    /** @return list<string> our newest days, the earliest first */
    private static function days(int $own): array
    {
        $days = DB::table('live_snapshots')->where('domain_id', $own)->where('channel', Snapshot::ORGANIC)->orderByDesc('day')
            ->limit(self::DAYS)->pluck('day')->all();

        return array_reverse(array_values(array_map(static fn(mixed $day): string => (string) Figures::text($day), $days)));
    }

    /**
     * @param list<int>    $domains
     * @param list<string> $days
     *
     * @return array<string, array<int, int>> day → domain → its newest snapshot on or before it
     */
    private static function snapshots(Study $study, array $domains, array $days): array
    {
        /** @var Collection<int, object{id: int, domain_id: int, day: string}> $all */
        $all = DB::table('live_snapshots')->where('study_id', $study->id)->where('channel', Snapshot::ORGANIC)
            ->whereIn('domain_id', $domains)
            ->orderBy('day')->get(['id', 'domain_id', 'day']);
        $newest = array_fill_keys($days, []);
        foreach ($days as $day) {
            foreach ($all as $snapshot) {
                if ($snapshot->day <= $day) {
                    $newest[$day][$snapshot->domain_id] = $snapshot->id;
                }
            }
        }

        return $newest;
    }

    /**
     * @param list<int> $snapshots
     *
     * @return array<int, list<object{snapshot_id: int, position: int, features: ?string, volume: int}>> snapshot → volumes by position
     */
    private static function rows(Study $study, Comparison $comparison, array $snapshots): array
    {
        /** @var list<object{snapshot_id: int, position: int, features: ?string, volume: int}> $rows */
        $rows = DB::select(<<<SQL
            WITH known AS MATERIALIZED (SELECT keyword, volume, features FROM {$comparison->table()->from('c')} WHERE volume IS NOT NULL)
            SELECT r.snapshot_id, r.position, c.features, sum(c.volume)::bigint AS volume
            FROM rankings r JOIN known c ON c.keyword = r.keyword
            WHERE r.study_id = ? AND r.snapshot_id = ANY(?::bigint[]) AND r.ordinal = 1
            GROUP BY r.snapshot_id, r.position, c.features
            SQL, [$study->id, '{'.implode(',', $snapshots).'}']);
        $bySnapshot = [];
        foreach ($rows as $row) {
            $bySnapshot[$row->snapshot_id][] = $row;
        }

        return $bySnapshot;
    }
}
