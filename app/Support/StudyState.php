<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;

/**
 * What is calculated of a study and its comparison holds as long as this stands still: it is another one, and never the same again, once
 * someone has decided something or undone it, has changed the rulebook or the roadmap, or data have come or gone.
 */
final class StudyState
{
    private const SQL = <<<'SQL'
        SELECT concat_ws(
            ' ', coalesce(max(id), 0), count(undone_at), (SELECT data_version FROM studies WHERE id = ?),
            -- What is on the roadmap is hidden from lists, and its status shown in them.
            (SELECT md5(string_agg(id || status, ' ' ORDER BY id)) FROM plan_items WHERE study_id = ?)
        ) AS state
        FROM changes WHERE study_id = ?
        SQL;

    public static function of(int $study): string
    {
        return self::read($study, self::SQL);
    }

    /** Figures hold longer: until something is corrected, set aside or brought back, beside all that is no decision. */
    public static function ofFigures(int $study): string
    {
        return self::read($study, self::SQL.' AND NOT leaves_figures');
    }

    /** What does not go by decisions holds longer: until the rulebook, the roadmap or the data are others. */
    public static function besideDecisions(int $study): string
    {
        return self::read($study, self::SQL." AND what <> 'decision'");
    }

    private static function read(int $study, string $sql): string
    {
        /** @var object{state: string} $row */
        $row = DB::selectOne($sql, [$study, $study, $study]);

        return "{$study} {$row->state}";
    }
}
