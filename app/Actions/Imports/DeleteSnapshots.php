<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Snapshot;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Deletes snapshots with their rankings and what these said about keywords. */
final class DeleteSnapshots
{
    /** @param Collection<int, Snapshot> $snapshots */
    public static function execute(Collection $snapshots): void
    {
        foreach ($snapshots as $snapshot) {
            DB::delete('DELETE FROM metrics WHERE study_id = ? AND source_id IN (SELECT id FROM sources WHERE snapshot_id = ?)', [
                $snapshot->study_id,
                $snapshot->id,
            ]);
            DB::delete('DELETE FROM rankings WHERE study_id = ? AND snapshot_id = ?', [$snapshot->study_id, $snapshot->id]);
            $snapshot->delete();
        }
    }
}
