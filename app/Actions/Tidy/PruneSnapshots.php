<?php

declare(strict_types=1);

namespace App\Actions\Tidy;

use App\Actions\Imports\DeleteSnapshots;
use App\Models\Snapshot;
use App\Models\Study;
use Illuminate\Support\Facades\DB;

/**
 * Takes ranking lists away that are older than an installation wants to keep them. Of each domain and channel the newest list stays
 * however old it is, and so does what a study is shown as of.
 */
final readonly class PruneSnapshots
{
    /** @return int how many */
    public function execute(): int
    {
        $months = config()->integer('reach.snapshot_months');
        if ($months <= 0) {
            return 0;
        }
        $gone = 0;
        $before = now()->subMonthsNoOverflow($months)->toDateString();
        $old = Snapshot::withSuperseded()->where('day', '<', $before)->select('study_id');
        foreach (Study::query()->whereIn('id', $old)->get() as $study) {
            $gone += DB::transaction(static fn(): int => self::forget($study, $before));
        }

        return $gone;
    }

    private static function forget(Study $study, string $before): int
    {
        DB::table('studies')->where('id', $study->id)->lockForUpdate()->first();
        $kept = [...self::newest($study, null), ...self::newest($study, $study->as_of?->toDateString())];
        $old = Snapshot::withSuperseded()->where('study_id', $study->id)->where('day', '<', $before)->whereNotIn('id', $kept)->get();
        if ($old->isNotEmpty()) {
            DeleteSnapshots::execute($old);
            $study->touchData();
        }

        return $old->count();
    }

    /** @return list<int> the newest list of each domain and channel, on or before a day */
    private static function newest(Study $study, ?string $day): array
    {
        $snapshots = Snapshot::query()->selectRaw('DISTINCT ON (domain_id, channel) id')->where('study_id', $study->id)
            ->when($day !== null, static fn($query) => $query->where('day', '<=', $day))
            ->orderBy('domain_id')->orderBy('channel')->orderByDesc('day')->get();

        return array_values($snapshots->map(static fn(Snapshot $newest): int => $newest->id)->all());
    }
}
