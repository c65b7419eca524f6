<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\ShareOfClicks;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Share of clicks of every compared domain on each of our days, with today's volumes. It is kept with the comparison, while that is
 * current.
 *
 * @phpstan-type SharesOfDay array{day: string, shares: list<?float>}
 */
final class ReadShares
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
        $ids = array_column($comparison->domains, 'id');
        $numbers = array_flip($ids);
        /** @var Collection<int, string> $days */
        $days = DB::table('live_snapshots')
            ->where('domain_id', $ids[0])
            ->where('channel', Snapshot::ORGANIC)
            ->orderByDesc('day')
            ->limit(self::DAYS)
            ->pluck('day');
        $curve = $comparison->models()->curve ?? CtrCurve::default();
        $tallies = array_map(static fn(): ShareOfClicks => new ShareOfClicks(\count($ids), $curve), array_flip($days->reverse()->all()));
        /** @var list<object{day: string, domain_id: int, position: int, volume: int}> $rows */
        $rows = DB::select(<<<SQL
            WITH volumes AS MATERIALIZED (SELECT keyword, volume FROM {$comparison->table()->from('c')} WHERE volume IS NOT NULL)
            SELECT s.day::text, s.domain_id, r.position, sum(c.volume)::bigint AS volume FROM live_snapshots s
                JOIN rankings r ON r.study_id = s.study_id AND r.snapshot_id = s.id AND r.ordinal = 1
            JOIN volumes c ON c.keyword = r.keyword
            WHERE s.study_id = ? AND s.channel = 'organic' AND s.day = ANY(?::date[]) AND s.domain_id = ANY(?::bigint[])
            GROUP BY s.day, s.domain_id, r.position
            SQL, [$study->id, '{'.$days->implode(',').'}', '{'.implode(',', $ids).'}']);
        foreach ($rows as $row) {
            $positions = array_fill(0, \count($ids), null);
            $positions[$numbers[$row->domain_id]] = $row->position;
            $tallies[$row->day]->add($row->volume, array_values($positions));
        }

        return array_map(
            static fn(string $day): array => ['day' => $day, 'shares' => $tallies[$day]->shares()],
            array_keys($tallies),
        );
    }
}
