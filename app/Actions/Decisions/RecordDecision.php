<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Models\Study;
use App\Support\Mark;
use Illuminate\Support\Facades\DB;

/**
 * Writes down what a person decided about keywords, with who and when and what stood before, so that all of it can be
 * undone; and lets the comparison on show follow at once.
 *
 * @phpstan-type PreviousValues array{keyword: string, tagged?: bool, ...}
 */
final readonly class RecordDecision
{
    private const CHUNK = 2000;
    private const COLUMNS = ['mark', 'reason', 'fit', 'intent', 'stage', 'target', 'note', 'topic', 'pinned', 'difficulty'];

    /** What is said about a keyword and changes no figure. */
    private const WORDS = ['mark', 'reason', 'note', 'pinned'];

    public function __construct(private RescoreKeywords $rescore)
    {
    }

    /** @return array{change: int, before: list<PreviousValues>} number of the change, and what stood before */
    public function execute(Study $study, DecisionInput $order, int $userId): array
    {
        return DB::transaction(function () use ($study, $order, $userId): array {
            StudyLock::take($study);
            $columns = $order->columns;
            if (\array_key_exists('mark', $columns)) {
                $columns['reason'] = $columns['mark'] === null ? null : $columns['reason'] ?? null;
            }
            $before = [];
            foreach (array_chunk($order->keywords, self::CHUNK) as $keywords) {
                array_push($before, ...$this->before($study, $keywords, array_keys($columns), $order));
                $this->write($study, $keywords, $columns, $userId);
                $this->tag($study, $keywords, $order);
            }
            $change = DB::table('changes')->insertGetId([
                'study_id' => $study->id,
                'user_id' => $userId,
                'what' => 'decision',
                'leaves_figures' => self::leavesFigures($columns, $before),
                'detail' => json_encode(
                    ['set' => $columns, 'tag' => $order->tagAdded, 'untag' => $order->tagRemoved, 'before' => $before],
                    JSON_THROW_ON_ERROR,
                ),
            ]);
            $this->rescore->execute($study, $order->keywords, array_keys($columns));

            return ['change' => $change, 'before' => $before];
        }, attempts: 2);
    }

    /**
     * Whether no figure of the study can be another afterwards: nothing was corrected, and nothing set aside or brought back.
     *
     * @param array<string, mixed> $columns
     * @param list<PreviousValues>         $before
     */
    private static function leavesFigures(array $columns, array $before): bool
    {
        if (array_diff(array_keys($columns), self::WORDS) !== []) {
            return false;
        }
        $marks = [$columns['mark'] ?? null, ...array_map(static fn(array $row): mixed => $row['mark'] ?? null, $before)];

        return ! \in_array(Mark::SetAside->value, $marks, true);
    }

    /**
     * @param list<string> $keywords
     * @param list<string> $columns
     *
     * @return list<PreviousValues>
     */
    private function before(Study $study, array $keywords, array $columns, DecisionInput $order): array
    {
        $known = DB::table('decisions')
            ->where('study_id', $study->id)
            ->whereIn('keyword', $keywords)
            ->lockForUpdate()
            ->get(['keyword', ...self::COLUMNS])
            ->keyBy('keyword');
        $tag = $order->tagAdded ?? $order->tagRemoved;
        $tagged =
            $tag === null
                ? []
                : DB::table('tags')
                    ->where('study_id', $study->id)
                    ->where('tag', $tag)
                    ->whereIn('keyword', $keywords)
                    ->pluck('tag', 'keyword')
                    ->all();

        return array_map(static function (string $keyword) use ($known, $columns, $tag, $tagged): array {
            $row = ['keyword' => $keyword];
            foreach ($columns as $column) {
                $row[$column] = $known[$keyword]->{$column} ?? null;
            }

            /** @var PreviousValues */
            return $tag === null ? $row : [...$row, 'tagged' => isset($tagged[$keyword])];
        }, $keywords);
    }

    /**
     * @param list<string>         $keywords
     * @param array<string, mixed> $columns
     */
    private function write(Study $study, array $keywords, array $columns, int $userId): void
    {
        if ($columns === []) {
            return;
        }
        $rows = array_map(
            static fn(string $keyword): array => [
                'study_id' => $study->id,
                'keyword' => $keyword,
                ...$columns,
                'updated_by' => $userId,
                'updated_at' => now(),
            ],
            $keywords,
        );
        DB::table('decisions')->upsert($rows, ['study_id', 'keyword'], [...array_keys($columns), 'updated_by', 'updated_at']);
    }

    /** @param list<string> $keywords */
    private function tag(Study $study, array $keywords, DecisionInput $order): void
    {
        if ($order->tagRemoved !== null) {
            DB::table('tags')->where('study_id', $study->id)->where('tag', $order->tagRemoved)->whereIn('keyword', $keywords)->delete();
        }
        if ($order->tagAdded !== null) {
            DB::table('tags')->insertOrIgnore(
                array_map(
                    static fn(string $keyword): array => ['study_id' => $study->id, 'tag' => $order->tagAdded, 'keyword' => $keyword],
                    $keywords,
                ),
            );
        }
    }
}
