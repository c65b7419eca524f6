<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Tasks\StartTask;
use App\Http\Requests\PullRequest;
use App\Http\Resources\TaskResource;
use App\Models\Study;
use App\Models\TaskKind;
use Illuminate\Http\JsonResponse;

final class PullController extends Controller
{
    public function store(PullRequest $request, Study $study, StartTask $start): JsonResponse
    {
        $payload = $request->payload();

        return TaskResource::accepted(
            $start->execute($study, $request->user()?->id, TaskKind::Pull, 'Pull from '.$payload['source'], $payload),
        );
    }
}
