<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Comparisons\LearnEffects;
use App\Actions\Studies\CurveQuery;
use App\Models\Study;
use App\Support\Sources\Sources;
use GreaterReach\Core\Winning\Effect;
use GreaterReach\Core\Winning\Effects;
use Illuminate\Http\JsonResponse;

final class SourceController extends Controller
{
    public function index(Sources $sources): JsonResponse
    {
        return new JsonResponse($sources->names());
    }

    /** What work brings, and what that was learnt from. */
    public function effect(Study $study, LearnEffects $learn): JsonResponse
    {
        $study->load('domains');

        $effects = $study->comparison?->models()->effects ?? Effects::learn(0, 0.0);
        $told = static fn(Effect $effect): array => [
            'mean' => $effect->mean(), 'sd' => $effect->posterior->deviation(), 'items' => $effect->items,
        ];

        return new JsonResponse([
            'market_pages' => $effects->marketPages,
            'market_shift' => $effects->marketShift,
            'new' => $told($effects->new),
            'existing' => $told($effects->existing),
            'finished' => $learn->describe($study, $study->rulebook()),
        ]);
    }

    public function curve(Study $study, CurveQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($study->load('domains')));
    }
}
