<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench\ReadBench;
use App\Actions\Bench\ReadGroups;
use App\Actions\Bench\ReadMap;
use App\Actions\Bench\ReadOpportunities;
use App\Actions\Bench\ReadSteadiness;
use App\Models\Study;
use App\Support\Rows\PrioritySql;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class OpportunityController extends Controller
{
    public function index(Request $request, Study $study, ReadOpportunities $read): JsonResponse
    {
        $rulebook = $study->rulebook();
        $weights = self::weights($request, $rulebook);
        $limit = min(ReadBench::MOST_ROWS, max(1, $request->integer('limit', 200)));
        $page = $read->execute(
            $this->shown($study),
            $this->sentence($request),
            $weights,
            $rulebook->fitGate(),
            max(0, $request->integer('cursor')),
            $limit,
        );

        return new JsonResponse([
            ...$page,
            'weights' => $weights->toArray(),
            'presets' => array_map(static fn(array $preset): array => Weights::of($preset)->toArray(), Weights::PRESETS),
        ]);
    }

    public function groups(Request $request, Study $study, ReadGroups $read): JsonResponse
    {
        return new JsonResponse(
            $read->execute(
                $this->shown($study),
                $this->sentence($request),
                $study->rulebook()->fitGate(),
                $request->string('by')->value() ?: 'topic',
            ),
        );
    }

    public function map(Request $request, Study $study, ReadMap $read): JsonResponse
    {
        $request->validate(['by' => ['nullable', 'in:keyword,topic']]);

        return new JsonResponse(
            $read->execute(
                $this->shown($study),
                $this->sentence($request),
                $study->rulebook()->fitGate(),
                $request->string('by')->value() === 'topic',
                PrioritySql::expression(self::weights($request, $study->rulebook())),
            ),
        );
    }

    public function steadiness(Request $request, Study $study, ReadSteadiness $read): JsonResponse
    {
        return new JsonResponse($read->execute($this->shown($study), $this->sentence($request), $study->rulebook()));
    }

    private static function weights(Request $request, Rulebook $rulebook): Weights
    {
        return $request->filled('weights') ? Weights::parse($request->string('weights')->value()) : $rulebook->priorities();
    }
}
