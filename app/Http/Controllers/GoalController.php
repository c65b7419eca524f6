<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plans\DraftGoal;
use App\Http\Requests\GoalRequest;
use App\Models\Study;
use Illuminate\Http\JsonResponse;

/** Plan for a goal, and the plan that reaches it. */
final class GoalController extends Controller
{
    public function show(GoalRequest $request, Study $study, DraftGoal $goals): JsonResponse
    {
        $plan = $goals->answer($study->load('domains'), $this->shown($study), $request->goal());

        return new JsonResponse([
            ...$plan->noted()['goal'] ?? [],
            'days' => array_sum(array_column($plan->rows, 'effort_days')),
            'items' => array_map(static fn(array $row): array => [
                'topic' => $row['item'],
                'month' => $row['month'],
                'tactic' => $row['tactic'],
                'effort_days' => $row['effort_days'],
                'expected_gain' => $row['expected_gain'],
            ], $plan->rows),
            'left_out' => $plan->leftOut,
        ]);
    }

    public function store(GoalRequest $request, Study $study, DraftGoal $goals): JsonResponse
    {
        $draft = $goals->draft(
            $study->load('domains'),
            $this->shown($study),
            $request->goal(),
            $request->string('name')->trim()->value(),
            (int) $request->user()?->id,
        );

        return new JsonResponse($draft->only(['id', 'name', 'version']), 201);
    }
}
