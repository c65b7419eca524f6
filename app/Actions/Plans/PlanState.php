<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use App\Support\StudyState;
use Illuminate\Support\Facades\DB;

/** A fingerprint of everything a roadmap's figures depend on: cached results stay valid while it is the same. */
final class PlanState
{
    private const SQL = <<<'SQL'
        SELECT concat_ws(' ', count(*), coalesce(sum(version), 0), coalesce(max(id), 0),
            (SELECT concat_ws(' ', start, months, capacity) FROM plans WHERE study_id = ?)) AS items
        FROM plan_items WHERE study_id = ?
        SQL;

    /** @return string of a study as it is now, on this day */
    public static function of(Study $study): string
    {
        return self::with($study, StudyState::of($study->id));
    }

    /** The same of figures alone, which are not others for what is shortlisted or noted. */
    public static function ofFigures(Study $study): string
    {
        return self::with($study, StudyState::ofFigures($study->id));
    }

    /** The same of what comes of finished items, which no decision changes. */
    public static function besideDecisions(Study $study): string
    {
        return self::with($study, StudyState::besideDecisions($study->id));
    }

    private static function with(Study $study, string $of): string
    {
        /** @var object{items: string} $state */
        $state = DB::selectOne(self::SQL, [$study->id, $study->id]);

        return implode(' ', [$of, (int) $study->comparison_id, $state->items, now('UTC')->toDateString()]);
    }
}
