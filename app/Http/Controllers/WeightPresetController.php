<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Study;
use App\Models\WeightPreset;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class WeightPresetController extends Controller
{
    public function index(Study $study): JsonResponse
    {
        /** @var list<WeightPreset> $presets */
        $presets = $study->weightPresets()->orderBy('name')->get()->all();

        return new JsonResponse(array_map(self::shape(...), $presets));
    }

    /** Weights of the same name are replaced. */
    public function store(Request $request, Study $study): JsonResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:24'], 'weights' => ['required', 'string', 'max:200']]);
        // The rulebook's own reader refuses weights that are all zero or unknown.
        Rulebook::standard()->with(['weights' => $request->string('weights')->value()]);
        $preset = $study
            ->weightPresets()
            ->updateOrCreate(
                ['name' => $request->string('name')->trim()->value()],
                ['weights' => $request->string('weights')->value(), 'user_id' => $request->user()?->id],
            );

        return new JsonResponse(self::shape($preset), 201);
    }

    public function destroy(Study $study, int $preset): JsonResponse
    {
        $study->weightPresets()->findOrFail($preset)->delete();

        return new JsonResponse(['gone' => $preset]);
    }

    /** @return array{id: int, name: string, weights: array<string, float>} */
    private static function shape(WeightPreset $preset): array
    {
        return [
            'id' => $preset->id,
            'name' => $preset->name,
            'weights' => [
                ...array_fill_keys(Criterion::names(), 0.0),
                ...Rulebook::standard()
                    ->with(['weights' => $preset->weights])
                    ->weights(),
            ],
        ];
    }
}
