<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Decisions\LaterDecisions;
use App\Actions\Decisions\ReasonsQuery;
use App\Actions\Decisions\RecordDecision;
use App\Actions\Decisions\TagsQuery;
use App\Actions\Decisions\UndoDecision;
use App\Http\Requests\DecisionRequest;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class DecisionController extends Controller
{
    /** Rows that are told back one by one; of more only the number. */
    private const TOLD = 1000;

    public function store(DecisionRequest $request, Study $study, RecordDecision $decide): JsonResponse
    {
        $order = $request->order($study->comparison);
        $user = (int) $request->user()?->id;
        $others = $request->filled('seen') ? LaterDecisions::byOthers($study, $request->integer('seen'), $order->keywords, $user) : [];
        $done = $decide->execute($study, $order, $user);

        return new JsonResponse([
            'change' => $done['change'],
            'keywords' => \count($order->keywords),
            'before' => \array_slice($done['before'], 0, self::TOLD),
            'others' => $others,
        ]);
    }

    public function undo(Request $request, Study $study, UndoDecision $undo): JsonResponse
    {
        $request->validate(['change' => ['required', 'integer', 'min:1']]);

        return new JsonResponse($undo->execute($study, $request->integer('change'), (int) $request->user()?->id));
    }

    /** Reasons that were given, the newest first. */
    public function reasons(Study $study, ReasonsQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($study));
    }

    /** Tags in use, with the number of their keywords. */
    public function tags(Study $study, TagsQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($study));
    }
}
