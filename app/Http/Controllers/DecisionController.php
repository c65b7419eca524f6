<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Decisions\Decide;
use App\Actions\Decisions\LaterChanges;
use App\Actions\Decisions\ReadReasons;
use App\Actions\Decisions\ReadTags;
use App\Actions\Decisions\UndoDecision;
use App\Http\Requests\DecisionRequest;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class DecisionController extends Controller
{
    /** Rows that are told back one by one; of more only the number. */
    private const TOLD = 1000;

    public function store(DecisionRequest $request, Study $study, Decide $decide): JsonResponse
    {
        $order = $request->order($study->comparison);
        $user = (int) $request->user()?->id;
        $others = $request->filled('seen') ? LaterChanges::byOthers($study, $request->integer('seen'), $order->keywords, $user) : [];
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
    public function reasons(Study $study, ReadReasons $read): JsonResponse
    {
        return new JsonResponse($read->execute($study));
    }

    /** Tags in use, with the number of their keywords. */
    public function tags(Study $study, ReadTags $read): JsonResponse
    {
        return new JsonResponse($read->execute($study));
    }
}
