<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanItem;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Database\RowStream;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Plan\Drift;
use GreaterReach\Core\Plan\ForecastKeyword;
use GreaterReach\Core\Plan\Month;
use Illuminate\Support\Facades\DB;

/** How our pages did that no item of the roadmap touched, from one month to the newest snapshot. */
final class UnplannedPagesQuery
{
    /** @var array<string, Drift> month → drift since */
    private array $known = [];

    /** @var array<string, true> */
    private readonly array $touched;

    private readonly FeatureClicks $featureClicks;

    /** @param list<PlanItem> $items whose keywords and pages count as touched */
    public function __construct(private readonly Study $study, array $items)
    {
        $keywords = array_merge([], ...array_map(static fn(PlanItem $item): array => [
            $item->lead,
            ...array_map(static fn(ForecastKeyword $one): string => $one->keyword, $item->said->keywords ?? []),
        ], $items));
        $this->touched = array_fill_keys($keywords, true);
        $this->featureClicks = new FeatureClicks($study->rulebook()->shares('feature_clicks'));
    }

    public function since(?Month $month, CtrCurve $curve): Drift
    {
        return $this->known[(string) $month] ??= $this->drift($month, $curve);
    }

    private function drift(?Month $month, CtrCurve $curve): Drift
    {
        $drift = new Drift();
        [$then, $now] = [$month === null ? null : $this->snapshot($month), $this->snapshot(null)];
        if ($then === null || $now === null || $this->study->comparison === null) {
            return $drift;
        }
        $rows = DB::transaction(fn(): array => [...$this->rows($then, $now)]);
        $pages = [];
        foreach ($rows as [$keyword, $url]) {
            $pages[$url] = ($pages[$url] ?? false) || isset($this->touched[$keyword]);
        }
        foreach ($rows as [, $url, $before, $after, $volume, $features]) {
            if ($pages[$url] === false) {
                $searches = $volume * $this->featureClicks->shareLeft(FeatureClicks::read((string) $features));
                $drift->add($url, $before, $searches * $curve->at($before), $after === null ? 0.0 : $searches * $curve->at($after));
            }
        }

        return $drift;
    }

    /** @return ?int our newest snapshot up to the end of a month, or of all */
    private function snapshot(?Month $month): ?int
    {
        $id = DB::table('live_snapshots')->where('domain_id', $this->study->ownDomain()->id)->where('channel', Snapshot::ORGANIC)
            ->when($month !== null, static fn($query) => $query->where('day', '<', $month?->plus(1).'-01'))
            ->orderByDesc('day')->value('id');

        return \is_int($id) ? $id : null;
    }

    /** @return iterable<array{string, string, int, ?int, int, ?string}> keyword, page then, position then and now, volume, features */
    private function rows(int $then, int $now): iterable
    {
        /** @var iterable<array{string, string, int, ?int, int, ?string}> */
        return RowStream::of(
            <<<SQL
                SELECT r.keyword, r.url, r.position, n.position, c.volume, c.features
                FROM rankings r JOIN {$this->study->comparison?->table()->from('c')} ON c.keyword = r.keyword
                LEFT JOIN rankings n ON n.study_id = r.study_id AND n.snapshot_id = ? AND n.keyword = r.keyword AND n.ordinal = 1
                WHERE r.study_id = ? AND r.snapshot_id = ? AND r.ordinal = 1 AND r.url IS NOT NULL AND c.volume IS NOT NULL
                ORDER BY r.keyword
                SQL,
            [$now, $this->study->id, $then],
        );
    }
}
