<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Studies\ChangeRulebook;
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
        /** @var array{settings: array<string, string>} $valid */
        $valid = $request->validate(['settings' => ['required', 'array', 'max:60'], 'settings.*' => ['present', 'string', 'max:20000']]);

        return new JsonResponse($change->describe($change->execute($study, $valid['settings'], $request->user()?->id)));
    }
}
