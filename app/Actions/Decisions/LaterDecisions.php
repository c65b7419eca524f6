<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Models\Study;
use Illuminate\Support\Facades\DB;

/** Decisions that were made after another one about the same keywords and the same of their columns, and stand. */
final class LaterDecisions
{
    /** Stands for the tags of a keyword beside its columns. */
    public const TAG = 'tag';

    /**
     * @param list<string> $keywords
     * @param list<string> $columns
     *
     * @return array<string, int> keyword → the newest such change
     */
    public static function of(Study $study, int $change, array $keywords, array $columns): array
    {
        $rows = DB::select(<<<'SQL'
            SELECT before->>'keyword' AS keyword, max(changes.id) AS change
            FROM changes, jsonb_array_elements(detail->'before') AS before
            WHERE study_id = ? AND id > ? AND what = 'decision' AND undone_at IS NULL
                AND before->>'keyword' IN (SELECT json_array_elements_text(?::json))
                AND EXISTS (SELECT 1 FROM json_array_elements_text(?::json) AS of(name)
                    WHERE jsonb_exists(detail->'set', name)
                        OR (name = 'tag' AND coalesce(detail->>'tag', detail->>'untag') IS NOT NULL))
            GROUP BY 1
            SQL, [$study->id, $change, json_encode($keywords, JSON_THROW_ON_ERROR), json_encode($columns, JSON_THROW_ON_ERROR)]);
        $found = [];
        /** @var object{keyword: string, change: int} $row */
        foreach ($rows as $row) {
            $found[$row->keyword] = $row->change;
        }

        return $found;
    }

    /**
     * What other people have decided about some keywords since a change that a person had seen.
     *
     * @param list<string> $keywords
     *
     * @return list<array{who: string, keywords: int, example: string, mark: ?string}> the newest of each person
     */
    public static function byOthers(Study $study, int $seen, array $keywords, int $user): array
    {
        /** @var list<object{who: ?string, keywords: int, example: string, mark: ?string}> $rows */
        $rows = DB::select(<<<'SQL'
            SELECT users.name AS who, count(DISTINCT before->>'keyword') AS keywords, min(before->>'keyword') AS example,
                (array_agg(detail->'set'->>'mark' ORDER BY changes.id DESC))[1] AS mark
            FROM changes JOIN users ON users.id = user_id, jsonb_array_elements(detail->'before') AS before
            WHERE study_id = ? AND changes.id > ? AND what = 'decision' AND undone_at IS NULL AND user_id <> ?
                AND before->>'keyword' IN (SELECT json_array_elements_text(?::json))
            GROUP BY users.id, users.name ORDER BY max(changes.id) DESC
            SQL, [$study->id, $seen, $user, json_encode($keywords, JSON_THROW_ON_ERROR)]);

        return array_map(
            static fn(object $row): array => [
                'who' => (string) $row->who,
                'keywords' => $row->keywords,
                'example' => $row->example,
                'mark' => $row->mark,
            ],
            $rows,
        );
    }
}
