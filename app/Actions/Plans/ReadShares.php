<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\ShareOfClicks;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Share of clicks of every compared domain on each of our days, with today's volumes.
 *
 * @phpstan-type SharesOfDay array{day: string, shares: list<?float>}
 */
final class ReadShares
{
    /**
     * @param int $most so many days, the newest
     *
     * @return list<SharesOfDay> the earliest first
     */
    public function execute(Study $study, int $most): array
    {
        $comparison = $study->comparison;
        if ($comparison === null) {
            return [];
        }
        $ids = array_column($comparison->domains, 'id');
        $numbers = array_flip($ids);
        /** @var Collection<int, string> $days */
        $days = DB::table('live_snapshots')
            ->where('domain_id', $ids[0])
            ->where('channel', Snapshot::ORGANIC)
            ->orderByDesc('day')
            ->limit($most)
            ->pluck('day');
        $curve = $comparison->models()->curve ?? CtrCurve::default();
        $tallies = array_map(static fn(): ShareOfClicks => new ShareOfClicks(\count($ids), $curve), array_flip($days->reverse()->all()));
        /** @var list<object{day: string, domain_id: int, position: int, volume: int}> $rows */
        $rows = DB::select(<<<SQL
            SELECT s.day::text, s.domain_id, r.position, sum(c.volume)::bigint AS volume FROM live_snapshots s
                JOIN rankings r ON r.study_id = s.study_id AND r.snapshot_id = s.id AND r.ordinal = 1
            JOIN {$comparison->table()->from('c')} ON c.keyword = r.keyword AND c.volume IS NOT NULL
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
