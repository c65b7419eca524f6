<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Decisions\Decide;
use App\Http\Requests\DecisionRequest;
use App\Models\Study;
use Illuminate\Http\JsonResponse;

final class DecisionController extends Controller
{
    public function store(DecisionRequest $request, Study $study, Decide $decide): JsonResponse
    {
        $mark = $request->filled('mark') ? $request->string('mark')->value() : null;
        $reason = $request->filled('reason') ? $request->string('reason')->value() : null;
        $before = $decide->execute($study, $request->keys(), $mark, $reason, (int) $request->user()?->id);

        return new JsonResponse(['before' => $before]);
    }
}
