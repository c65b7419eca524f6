<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Exceptions\UserError;
use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Makes drafts of the plan, lays their items elsewhere, and agrees on one of them. */
final readonly class ChangeDraft
{
    private const MOST = 12;

    public function __construct(private ChangePlan $plan)
    {
    }

    /** A draft that begins as a copy of the agreed plan, or of another draft. */
    public function create(Study $study, string $name, ?PlanDraft $from, int $user): PlanDraft
    {
        if (PlanDraft::query()->where('study_id', $study->id)->count() >= self::MOST) {
            throw UserError::because('name', 'A study can have up to twelve drafts. Delete one first.');
        }
        if (PlanDraft::query()->where('study_id', $study->id)->where('name', $name)->exists()) {
            throw UserError::because('name', sprintf('A draft "%s" already exists. Choose another name.', $name));
        }
        $frame = $from === null ? PlanSchedule::agreed($study) : PlanSchedule::ofDraft($from);

        return PlanDraft::query()->create([
            'study_id' => $study->id,
            'user_id' => $user,
            'name' => $name,
            'start' => (string) $frame->start,
            'months' => $frame->months,
            'capacity' => $frame->capacity,
            'placements' => self::placements($frame->items($study)),
            'version' => 1,
        ]);
    }

    /**
     * @param array<string, mixed>   $frame  start, months, capacity, as far as they change
     * @param array<int, ?string>    $months number of an item → YYYY-MM, or null for none
     * @param array<string, ?string> $pages  topic that is not planned yet → the same
     *
     * @throws ConflictHttpException when someone else has changed it in the meantime
     */
    public function change(Study $study, int $id, array $frame, array $months, array $pages, int $version, int $user): PlanDraft
    {
        return DB::transaction(function () use ($study, $id, $frame, $months, $pages, $version, $user): PlanDraft {
            /** @var PlanDraft $draft */
            $draft = PlanDraft::query()->where('study_id', $study->id)->where('id', $id)->lockForUpdate()->firstOrFail();
            if ($draft->version !== $version) {
                throw new ConflictHttpException(
                    'Someone else has just changed this draft. Reload to see it, then try again.',
                );
            }
            $placements = $draft->placements;
            foreach (PlanItem::of($study)->whereIn('id', array_keys($months))->where('status', '!=', 'done')->get() as $item) {
                $placements[$item->id] = $months[$item->id];
            }
            foreach ($this->plan->pages($study, array_map(strval(...), array_keys($pages)), $user) as $item => $topic) {
                $placements[$item] = $pages[$topic];
            }
            $draft->fill([...$frame, 'placements' => array_filter($placements), 'version' => $version + 1])->save();

            return $draft;
        });
    }

    /** @return int number of the change, for an undo */
    public function agree(Study $study, PlanDraft $draft, int $user): int
    {
        return DB::transaction(function () use ($study, $draft, $user): int {
            $frame = PlanSchedule::ofDraft($draft);
            $months = [];
            foreach ($frame->items($study) as $item) {
                $months[$item->id] = $item->month;
            }

            return $this->plan->apply($study, $months, [], $user, $frame);
        });
    }

    /**
     * @param list<PlanItem> $items
     *
     * @return array<int, string>
     */
    private static function placements(array $items): array
    {
        $placements = [];
        foreach ($items as $item) {
            if ($item->month !== null && $item->status !== 'done') {
                $placements[$item->id] = $item->month;
            }
        }

        return $placements;
    }
}
