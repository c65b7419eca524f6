<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Exceptions\UserError;
use App\Models\Study;
use Illuminate\Support\Facades\DB;

/**
 * Restores the values before a decision, except for keywords that have changed since.
 *
 * @phpstan-import-type PreviousValues from RecordDecision
 */
final readonly class UndoDecision
{
    public function __construct(private RescoreKeywords $rescore)
    {
    }

    /**
     * @return array{keywords: int, left: int} keywords that it took something back for, and those that it leaves because someone has
     *     changed them since
     *
     * @throws UserError when there is no such decision, or it was undone before
     */
    public function execute(Study $study, int $change, int $userId): array
    {
        return DB::transaction(function () use ($study, $change, $userId): array {
            StudyLock::take($study);
            /** @var ?object{detail: string} $row */
            $row = DB::table('changes')
                ->where('study_id', $study->id)
                ->where('id', $change)
                ->where('what', 'decision')
                ->whereNull('undone_at')
                ->lockForUpdate()
                ->first();
            if ($row === null) {
                throw UserError::because('change', 'That decision doesn’t exist or was already undone.');
            }
            /** @var array{set: array<string, mixed>, tag: ?string, untag: ?string, before: list<PreviousValues>} $detail */
            $detail = json_decode($row->detail, true, 64, JSON_THROW_ON_ERROR);
            $columns = array_keys($detail['set']);
            $changed = LaterDecisions::of($study, $change, array_column($detail['before'], 'keyword'), [
                ...$columns,
                ...isset($detail['tag']) || isset($detail['untag']) ? [LaterDecisions::TAG] : [],
            ]);
            $open = array_values(array_filter(
                $detail['before'],
                static fn(array $row): bool => ! isset($changed[$row['keyword']]),
            ));
            foreach (array_chunk($open, 2000) as $before) {
                $this->restore($study, $before, $columns, $userId);
                $this->retag($study, $before, $detail['tag'] ?? $detail['untag']);
            }
            DB::table('changes')->where('id', $change)->update(['undone_at' => now()]);
            $this->rescore->execute($study, array_column($open, 'keyword'), $columns);

            return ['keywords' => \count($open), 'left' => \count($detail['before']) - \count($open)];
        }, attempts: 2);
    }

    /**
     * @param list<PreviousValues> $before
     * @param list<string>               $columns
     */
    private function restore(Study $study, array $before, array $columns, int $userId): void
    {
        if ($columns === []) {
            return;
        }
        $rows = array_map(
            static fn(array $row): array => [
                'study_id' => $study->id,
                'keyword' => $row['keyword'],
                ...array_intersect_key($row, array_flip($columns)),
                'updated_by' => $userId,
                'updated_at' => now(),
            ],
            $before,
        );
        DB::table('decisions')->upsert($rows, ['study_id', 'keyword'], [...$columns, 'updated_by', 'updated_at']);
    }

    /** @param list<PreviousValues> $before */
    private function retag(Study $study, array $before, ?string $tag): void
    {
        if ($tag === null) {
            return;
        }
        DB::table('tags')
            ->where('study_id', $study->id)
            ->where('tag', $tag)
            ->whereIn('keyword', array_column($before, 'keyword'))
            ->delete();
        $tagged = array_filter($before, static fn(array $row): bool => ($row['tagged'] ?? false));
        DB::table('tags')->insert(
            array_values(
                array_map(static fn(array $row): array => ['study_id' => $study->id, 'tag' => $tag, 'keyword' => $row['keyword']], $tagged),
            ),
        );
    }
}
