<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plans\ChangeDraft;
use App\Http\Requests\PlanDraftRequest;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class PlanDraftController extends Controller
{
    public function store(Request $request, Study $study, ChangeDraft $change): JsonResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:60'], 'from' => ['nullable', 'integer']]);
        $from = $request->integer('from') === 0 ? null : $study->planDrafts()->findOrFail($request->integer('from'));
        $draft = $change->create($study, $request->string('name')->trim()->value(), $from, (int) $request->user()?->id);

        return new JsonResponse($draft->only(['id', 'name', 'version']), 201);
    }

    public function update(PlanDraftRequest $request, Study $study, int $draft, ChangeDraft $change): JsonResponse
    {
        return new JsonResponse(
            $change
                ->change(
                    $study->load('domains'),
                    $draft,
                    $request->frame(),
                    PlanDraftRequest::itemsOf($request),
                    PlanDraftRequest::pagesOf($request),
                    $request->integer('version'),
                    (int) $request->user()?->id
                )
                ->only(['id', 'name', 'version']),
        );
    }

    public function destroy(Study $study, int $draft): JsonResponse
    {
        $study->planDrafts()->findOrFail($draft)->delete();

        return new JsonResponse(['gone' => $draft]);
    }

    /** The agreed plan becomes as the draft is; the draft stays. */
    public function agree(Request $request, Study $study, int $draft, ChangeDraft $change): JsonResponse
    {
        return new JsonResponse([
            'change' => $change->agree($study->load('domains'), $study->planDrafts()->findOrFail($draft), (int) $request->user()?->id),
        ]);
    }
}
