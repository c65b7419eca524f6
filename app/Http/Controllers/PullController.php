<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Pulls\SchedulePulls;
use App\Actions\Tasks\StartTask;
use App\Http\Requests\PullRequest;
use App\Http\Resources\StudyResource;
use App\Http\Resources\TaskResource;
use App\Models\Study;
use App\Models\TaskKind;
use App\Support\Sources\Sources;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class PullController extends Controller
{
    public function store(PullRequest $request, Study $study, StartTask $start): JsonResponse
    {
        $payload = $request->payload();

        return TaskResource::accepted(
            $start->execute($study, $request->user()?->id, TaskKind::Pull, 'Pull from '.$payload['source'], $payload),
        );
    }

    /** Pulls by itself from the next time this day of the month comes. */
    public function schedule(Request $request, Study $study, Sources $sources, SchedulePulls $schedule): JsonResponse
    {
        $request->validate([
            'source' => ['required', Rule::in($sources->names())],
            'day' => ['required', 'integer', 'between:1,'.SchedulePulls::LAST_DAY],
        ]);
        $schedule->execute($study, $request->string('source')->value(), $request->integer('day'));

        return new JsonResponse(['pull_schedule' => StudyResource::schedule($study)]);
    }

    public function endSchedule(Study $study, SchedulePulls $schedule): JsonResponse
    {
        $schedule->end($study);

        return new JsonResponse(['pull_schedule' => null]);
    }
}
