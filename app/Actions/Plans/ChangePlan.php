<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\LearnEffect;
use App\Exceptions\Refused;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\Month;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Changes the roadmap: items come, move, are worked on, done or dropped; and all of it at once when a proposal is applied. */
final readonly class ChangePlan
{
    /** What a status of done holds fast. */
    private const FIXED_WHEN_DONE = ['month', 'tactic', 'effort_days'];

    public function __construct(private LearnEffect $effect)
    {
    }

    /** Adds what is shortlisted and weighed; the rest of the shortlist waits until it is. */
    public function addShortlist(Study $study, int $user): int
    {
        $comparison = $study->comparison;
        if ($comparison === null) {
            return 0;
        }
        /** @var Collection<int, string> $keywords */
        $keywords = DB::table('decisions')
            ->where('decisions.study_id', $study->id)
            ->where('mark', 'shortlisted')
            ->joinSub(
                $comparison->table()->query()->select('keyword')->whereNotNull('tactic'),
                'weighed',
                'weighed.keyword',
                '=',
                'decisions.keyword',
            )
            ->orderBy('decisions.keyword')
            ->pluck('decisions.keyword');

        return $this->add($study, array_values($keywords->all()), $user);
    }

    /** @param list<string> $keywords of the comparison on show */
    public function add(Study $study, array $keywords, int $user): int
    {
        $facts = PlanFacts::of($study, $study->comparison, $keywords);
        $added = 0;
        foreach ($keywords as $keyword) {
            $row = $facts->row($keyword);
            if ($row === null || $row->tactic === null) {
                throw Refused::because(
                    'keywords',
                    sprintf('"%s" is not weighed in the comparison on show, so nothing can be planned for it.', $keyword),
                );
            }
            $added += DB::table('plan_items')->insertOrIgnore([
                'study_id' => $study->id,
                'domain_id' => $study->ownDomain()->id,
                'keyword' => $keyword,
                'tactic' => (string) $row->tactic,
                'effort_days' => $facts->effort()->days($row->tactic, $row->linksToEarn),
                'links_to_earn' => $row->linksToEarn,
                'said' => json_encode($facts->said($keyword), JSON_THROW_ON_ERROR),
                'updated_by' => $user,
            ]);
        }

        return $added;
    }

    /**
     * @param array<string, mixed> $changes
     * @param int                  $version what the person saw
     *
     * @throws ConflictHttpException when somebody else has changed it meanwhile
     * @throws Refused               when a finished item would be moved
     */
    public function change(Study $study, int $id, array $changes, int $version, int $user): PlanItem
    {
        return DB::transaction(function () use ($study, $id, $changes, $version, $user): PlanItem {
            /** @var PlanItem $item */
            $item = PlanItem::query()->where('study_id', $study->id)->where('id', $id)->lockForUpdate()->firstOrFail();
            if ($item->version !== $version) {
                throw new ConflictHttpException(
                    'Somebody else has changed this item meanwhile. Look at it as it is now, then change it again.',
                );
            }
            $wasDone = $item->status === 'done';
            if (
                $wasDone &&
                ($changes['status'] ?? 'done') === 'done' &&
                array_intersect_key($changes, array_flip(self::FIXED_WHEN_DONE)) !== []
            ) {
                throw Refused::because('month', 'It is done; what is done is not moved. Set it back to published first.');
            }
            $item->fill([...$changes, 'version' => $version + 1, 'updated_by' => $user]);
            if (($item->status === 'done') !== $wasDone) {
                $item->fill($item->status === 'done' ? $this->promiseOf($study, $item) : ['done_month' => null, 'promise' => null]);
            }
            $before = $this->effect->execute($study);
            $item->save();
            // What is finished teaches the effect, and the effect every chance.
            if ($this->effect->execute($study)->share !== $before->share) {
                $study->touchData();
            }

            return $item;
        });
    }

    /**
     * Puts many items into months at once, and remembers where they were.
     *
     * @param array<string, ?string> $months keyword → YYYY-MM, or null for none
     * @param ?PlanFrame             $frame  of the plan from now on; null leaves it
     *
     * @return int number of the change, for an undo
     */
    public function apply(Study $study, array $months, int $user, ?PlanFrame $frame = null): int
    {
        return DB::transaction(function () use ($study, $months, $user, $frame): int {
            $known = PlanItem::of($study)->whereIn('keyword', array_keys($months))->lockForUpdate()->get()->keyBy('keyword');
            $new = array_values(
                array_filter(array_map(strval(...), array_keys($months)), static fn(string $keyword): bool => !$known->has($keyword)),
            );
            $this->add($study, $new, $user);
            $before = [];
            foreach ($months as $keyword => $month) {
                $item = $known->get($keyword);
                if ($item?->status !== 'done') {
                    $before[$keyword] = $item === null ? false : $item->month;
                    PlanItem::of($study)
                        ->where('keyword', (string) $keyword)
                        ->update(['month' => $month, 'version' => DB::raw('version + 1'), 'updated_by' => $user]);
                }
            }

            $agreed = PlanFrame::agreed($study);
            $detail = ['before' => $before];
            if ($frame !== null) {
                $detail['frame'] = ['start' => (string) $agreed->start, 'months' => $agreed->months, 'capacity' => $agreed->capacity];
                $this->setFrame($study, $frame->start, $frame->months, $frame->capacity);
            }

            return DB::table('changes')->insertGetId([
                'study_id' => $study->id,
                'user_id' => $user,
                'what' => 'plan',
                'detail' => json_encode($detail, JSON_THROW_ON_ERROR),
            ]);
        });
    }

    /** @throws Refused when there is no such change, or it was undone before */
    public function undo(Study $study, int $change, int $user): void
    {
        DB::transaction(function () use ($study, $change, $user): void {
            /** @var ?object{detail: string} $row */
            $row = DB::table('changes')
                ->where('study_id', $study->id)
                ->where('id', $change)
                ->where('what', 'plan')
                ->whereNull('undone_at')
                ->lockForUpdate()
                ->first();
            if ($row === null) {
                throw Refused::because('change', 'There is no such change to undo, or it was undone already.');
            }
            /**
             * @var array{before: array<string, string|false|null>, frame?: array{start: string, months: int, capacity: float|int}}
             *     $detail
             */
            $detail = json_decode($row->detail, true, 16, JSON_THROW_ON_ERROR);
            foreach ($detail['before'] as $keyword => $month) {
                $item = PlanItem::of($study)->where('keyword', (string) $keyword)->where('status', '!=', 'done');
                $month === false
                    ? $item->delete()
                    : $item->update(['month' => $month, 'version' => DB::raw('version + 1'), 'updated_by' => $user]);
            }
            if (isset($detail['frame'])) {
                $this->setFrame(
                    $study,
                    Month::parse($detail['frame']['start']),
                    $detail['frame']['months'],
                    (float) $detail['frame']['capacity'],
                );
            }
            DB::table('changes')
                ->where('id', $change)
                ->update(['undone_at' => now()]);
        });
    }

    /**
     * What it promises is held fast when it is done, so that later figures can be held against it.
     *
     * @return array<string, mixed>
     */
    private function promiseOf(Study $study, PlanItem $item): array
    {
        $facts = PlanFacts::of($study, $study->comparison, [$item->keyword]);
        $row = $facts->row($item->keyword);

        return ['done_month' => now('UTC')->format('Y-m'), 'promise' => [
            'gain' => $facts->gain($item->keyword),
            'win_chance' => $facts->winChance($item->keyword),
            'visits_then' => $row->visitsNow ?? 0.0,
            'position_then' => $row?->ownPosition,
            'target' => $row?->target,
        ]];
    }

    public function setFrame(Study $study, Month $start, int $months, float $capacity): void
    {
        DB::table('plans')->upsert(
            [['study_id' => $study->id, 'start' => (string) $start, 'months' => $months, 'capacity' => $capacity]],
            ['study_id'],
            ['start', 'months', 'capacity'],
        );
    }
}
