<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use Illuminate\Support\Facades\DB;

/** What everything that is said of a roadmap depends on: as long as it stands still, so does what was worked out. */
final class PlanState
{
    private const SQL = <<<'SQL'
        SELECT (SELECT concat_ws(' ', coalesce(max(id), 0), count(undone_at)) FROM changes WHERE study_id = ?) AS changes,
            (SELECT concat_ws(' ', count(*), coalesce(sum(version), 0), coalesce(max(id), 0)) FROM plan_items WHERE study_id = ?) AS items
        SQL;

    /** @return string of a study as it is now, on this day */
    public static function of(Study $study): string
    {
        /** @var object{changes: string, items: string} $state */
        $state = DB::selectOne(self::SQL, [$study->id, $study->id]);

        return implode(' ', [
            $study->id, (int) $study->comparison_id, $study->data_version, $state->changes, $state->items, now('UTC')->toDateString(),
        ]);
    }
}
