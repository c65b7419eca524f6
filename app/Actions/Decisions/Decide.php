<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Models\Study;
use Illuminate\Support\Facades\DB;

/** Marks keywords as shortlisted, set aside or neither, with a reason, and logs who did. */
final class Decide
{
    /**
     * @param list<string> $keywords keys
     * @param ?string      $mark     shortlisted, set aside, or null to take the mark away
     *
     * @return list<array{keyword: string, mark: ?string, reason: ?string}> what stood before, so that it can be undone
     */
    public function execute(Study $study, array $keywords, ?string $mark, ?string $reason, int $userId): array
    {
        return DB::transaction(function () use ($study, $keywords, $mark, $reason, $userId): array {
            $known = DB::table('decisions')->where('study_id', $study->id)->whereIn('keyword', $keywords)->lockForUpdate()->get(['keyword', 'mark', 'reason'])->keyBy('keyword');
            DB::table('decisions')->upsert(
                array_map(static fn(string $keyword): array => ['study_id' => $study->id, 'keyword' => $keyword, 'mark' => $mark, 'reason' => $mark === null ? null : $reason, 'updated_by' => $userId, 'updated_at' => now()], $keywords),
                ['study_id', 'keyword'],
                ['mark', 'reason', 'updated_by', 'updated_at'],
            );
            DB::table('changes')->insert(['study_id' => $study->id, 'user_id' => $userId, 'what' => 'mark', 'detail' => json_encode(['mark' => $mark, 'reason' => $reason, 'keywords' => $keywords], JSON_THROW_ON_ERROR)]);

            return array_map(static fn(string $keyword): array => ['keyword' => $keyword, 'mark' => $known[$keyword]->mark ?? null, 'reason' => $known[$keyword]->reason ?? null], $keywords);
        });
    }
}
