<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\Goal;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Plan\Month;
use Illuminate\Support\Facades\DB;

/** What it takes to reach a goal, from the plan's start on, beside the roadmap as it is; and that plan as a draft beside the agreed one. */
final readonly class DraftGoal
{
    public function __construct(private PlanOpportunities $make, private ChangePlan $plan, private ChangeDraft $drafts)
    {
    }

    /** @throws UserError when the goal lies before the plan's start, or nothing was weighed */
    public function answer(Study $study, Comparison $comparison, Goal $goal): ProposedPlan
    {
        return $this->make->towards($goal, $study, $comparison, self::start($study), true);
    }

    /** Pages that it plans and that are not on the roadmap yet are put there; what is there already keeps its month in the draft. */
    public function draft(Study $study, Comparison $comparison, Goal $goal, string $name, int $user): PlanDraft
    {
        $plan = $this->answer($study, $comparison, $goal);

        return DB::transaction(function () use ($study, $goal, $plan, $name, $user): PlanDraft {
            $draft = $this->drafts->create($study, $name, null, $user);
            $months = array_column($plan->rows, 'month', 'item');
            $topics = array_map(strval(...), array_keys($months));
            $this->plan->pages($study, $topics, $user);
            $placements = [];
            foreach (PlanItem::of($study)->whereNotIn('status', [ItemStatus::Done, ItemStatus::Dropped])->get() as $item) {
                $month = $months[$item->name] ?? $item->month;
                if ($month !== null) {
                    $placements[$item->id] = $month;
                }
            }
            $draft->fill([
                'months' => self::start($study)->until($goal->until) + 1,
                'capacity' => $plan->goal->capacity ?? $draft->capacity,
                'placements' => $placements,
            ])->save();

            return $draft;
        });
    }

    private static function start(Study $study): Month
    {
        return PlanSchedule::agreed($study)->start;
    }
}
