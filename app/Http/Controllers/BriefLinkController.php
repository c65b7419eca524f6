<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plans\ShareBrief;
use App\Models\PlanItem;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The links by which a brief is shared with writers. */
final class BriefLinkController extends Controller
{
    public function index(Study $study, int $item, ShareBrief $share): JsonResponse
    {
        return new JsonResponse(['links' => $share->open(self::item($study, $item))]);
    }

    public function store(Request $request, Study $study, int $item, ShareBrief $share): JsonResponse
    {
        $request->validate(['days' => ['sometimes', 'integer', 'between:1,'.ShareBrief::MOST_DAYS]]);
        $days = $request->integer('days', ShareBrief::DAYS);

        return new JsonResponse($share->execute(self::item($study, $item), $days, (int) $request->user()?->id), 201);
    }

    public function destroy(Study $study, int $item, int $link, ShareBrief $share): JsonResponse
    {
        $share->revoke(self::item($study, $item), $link);

        return new JsonResponse(['gone' => $link]);
    }

    private static function item(Study $study, int $item): PlanItem
    {
        return PlanItem::query()->where('study_id', $study->id)->where('id', $item)->firstOrFail();
    }
}
