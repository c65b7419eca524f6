<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench\OpenWordsQuery;
use App\Actions\Studies\ChangeRulebook;
use App\Actions\Studies\PreviewRulebook;
use App\Actions\Studies\RulebookHistory;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class RulebookController extends Controller
{
    public function show(Study $study, ChangeRulebook $change): JsonResponse
    {
        return new JsonResponse($change->describe($study->rulebook()));
    }

    public function update(Request $request, Study $study, ChangeRulebook $change): JsonResponse
    {
        /** @var array{seen?: array<string, string>} $valid */
        $valid = $request->validate(['seen' => ['array', 'max:60'], 'seen.*' => ['present', 'string', 'max:20000']]);
        $rulebook = $change->execute($study, self::settings($request), $request->user()?->id, $valid['seen'] ?? []);

        return new JsonResponse($change->describe($rulebook));
    }

    /** What a change would move; nothing is saved. */
    public function preview(Request $request, Study $study, PreviewRulebook $preview): JsonResponse
    {
        return new JsonResponse($preview->execute($study, $this->shown($study), self::settings($request)));
    }

    /** Words that may make a rule of intents. */
    public function openWords(Study $study, OpenWordsQuery $read): JsonResponse
    {
        return new JsonResponse($study->comparison === null ? [] : $read->execute($study, $study->comparison));
    }

    public function history(Study $study, RulebookHistory $history): JsonResponse
    {
        return new JsonResponse($history->execute($study));
    }

    public function revert(Request $request, Study $study, RulebookHistory $history, ChangeRulebook $change): JsonResponse
    {
        $request->validate(['change' => ['required', 'integer', 'min:1']]);

        return new JsonResponse($change->describe($history->revert($study, $request->integer('change'), $request->user()?->id)));
    }

    /** @return array<string, string> key → value as a person writes it */
    private static function settings(Request $request): array
    {
        /** @var array{settings: array<string, string>} $valid */
        $valid = $request->validate(['settings' => ['required', 'array', 'max:60'], 'settings.*' => ['present', 'string', 'max:20000']]);

        return $valid['settings'];
    }
}
