<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\LearnEffects;
use App\Actions\Comparisons\UpdateShownCounts;
use App\Exceptions\UserError;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Texts;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Unit;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Changes the roadmap: items move, are worked on, done or dropped; and all of it at once when a proposal is applied. */
final readonly class ChangePlan
{
    /** What a status of done holds fast. */
    private const FIXED_WHEN_DONE = ['month', 'tactic', 'effort_days'];

    public function __construct(
        private LearnEffects $effect,
        private AddToPlan $add,
        private PublicSuffixList $suffixes,
        private UpdateShownCounts $count,
    ) {
    }

    /**
     * @param array<string, mixed> $changes
     * @param int                  $version what the person saw
     *
     * @throws ConflictHttpException when someone else has changed it in the meantime
     * @throws UserError               when a finished item would be moved
     */
    public function change(Study $study, int $id, array $changes, int $version, int $user): PlanItem
    {
        return DB::transaction(function () use ($study, $id, $changes, $version, $user): PlanItem {
            /** @var PlanItem $item */
            $item = PlanItem::query()->where('study_id', $study->id)->where('id', $id)->lockForUpdate()->firstOrFail();
            if ($item->version !== $version) {
                throw new ConflictHttpException(
                    'Someone else has just changed this item. Reload to see it, then try again.',
                );
            }
            $wasDone = $item->status === 'done';
            if (
                $wasDone &&
                ($changes['status'] ?? 'done') === 'done' &&
                array_intersect_key($changes, array_flip(self::FIXED_WHEN_DONE)) !== []
            ) {
                throw UserError::because('month', 'Finished items can’t move. Set it back to published first.');
            }
            if (isset($changes['brief'])) {
                ChosenPages::check($study, Texts::of((array) $changes['brief']), $this->suffixes);
            }
            $item->fill([...$changes, 'version' => $version + 1, 'updated_by' => $user]);
            $this->settle($study, $item, $wasDone);
            $before = $this->effect->finished($study, $study->rulebook());
            $item->save();
            // Finished work teaches what work brings, and that every chance.
            if ($this->effect->finished($study, $study->rulebook()) != $before) {
                $study->touchData();
            }
            if ($item->wasChanged('status')) {
                $this->count->ofStudy($study);
            }

            return $item;
        });
    }

    /** When it was done follows from its status, unless a person says; what it promised is said then at the latest. */
    private function settle(Study $study, PlanItem $item, bool $wasDone): void
    {
        if ($item->status !== 'done') {
            if ($item->done_month !== null && $item->isDirty('done_month')) {
                throw UserError::because('done_month', 'This item isn’t done yet. Set it to done first.');
            }
            $item->done_month = null;

            return;
        }
        $item->done_month ??= now('UTC')->format('Y-m');
        if ($item->done_month > now('UTC')->format('Y-m')) {
            throw UserError::because('done_month', 'An item can’t be done in a future month.');
        }
        $models = $study->comparison?->models();
        $tactic = $item->tacticOfPage();
        if (! $wasDone && $item->said === null && $models !== null && $tactic !== null) {
            $facts = PlanFacts::about($study, $item);
            $item->said = (new RecordPlannedForecast($study, $models))
                ->of($item->drawsAs(), $facts->at($item), $tactic, $facts->effort()->ramp($tactic));
        }
    }

    /**
     * Puts many items into months at once, and remembers where they were.
     *
     * @param array<int, ?string>    $months number of an item → YYYY-MM, or null for none
     * @param array<string, ?string> $pages  topic that is not planned yet → the same
     * @param ?PlanSchedule             $frame  of the plan from now on; null leaves it
     *
     * @return int number of the change, for an undo
     */
    public function apply(Study $study, array $months, array $pages, int $user, ?PlanSchedule $frame = null): int
    {
        return DB::transaction(function () use ($study, $months, $pages, $user, $frame): int {
            $before = PlanItem::of($study)->whereIn('id', array_keys($months))->where('status', '!=', 'done')->lockForUpdate()
                ->pluck('month', 'id')->all();
            $new = $this->pages($study, array_map(strval(...), array_keys($pages)), $user);
            foreach ($before as $id => $month) {
                $this->move($study, $id, $months[$id], $user);
            }
            foreach ($new as $id => $topic) {
                $before[$id] = false;
                $this->move($study, $id, $pages[$topic], $user);
            }
            $detail = ['items' => $before];
            if ($frame !== null) {
                $agreed = PlanSchedule::agreed($study);
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

    /**
     * Puts pages on the roadmap, without a month.
     *
     * @param list<string> $topics
     *
     * @return array<int, string> number of the item → topic, of those that were not there before
     */
    public function pages(Study $study, array $topics, int $user): array
    {
        /** @var \Closure(): array<int, string> $pages */
        $pages = static fn(): array => PlanItem::of($study)->where('unit', Unit::Topic)->whereIn('name', $topics)
            ->pluck('name', 'id')->all();
        $there = $pages();
        $this->add->topics($study, $topics, $user);

        return array_diff_key($pages(), $there);
    }

    private function move(Study $study, int $id, ?string $month, int $user): void
    {
        PlanItem::of($study)->where('id', $id)->where('status', '!=', 'done')
            ->update(['month' => $month, 'version' => DB::raw('version + 1'), 'updated_by' => $user]);
    }

    /** @throws UserError when there is no such change, or it was undone before */
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
                throw UserError::because('change', 'That change doesn’t exist or was already undone.');
            }
            /**
             * @var array{items?: array<int, string|false|null>, frame?: array{start: string, months: int, capacity: float|int}} $detail
             */
            $detail = json_decode($row->detail, true, 16, JSON_THROW_ON_ERROR);
            $items = $detail['items']
                ?? throw UserError::because('change', 'That change is too old to undo.');
            foreach ($items as $id => $month) {
                $month === false
                    ? PlanItem::of($study)->where('id', $id)->where('status', '!=', 'done')->delete()
                    : $this->move($study, $id, $month, $user);
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
            $this->count->ofStudy($study);
        });
    }

    public function remove(Study $study, PlanItem $item): void
    {
        DB::transaction(function () use ($study, $item): void {
            $item->delete();
            $this->count->ofStudy($study);
        });
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
