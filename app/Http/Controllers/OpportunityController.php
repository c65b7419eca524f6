<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench\ReadBench;
use App\Actions\Bench\ReadOpportunities;
use App\Models\Study;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class OpportunityController extends Controller
{
    public function index(Request $request, Study $study, ReadOpportunities $read): JsonResponse
    {
        $rulebook = $study->rulebook();
        $weights = $request->filled('weights') ? Weights::parse($request->string('weights')->value()) : Weights::of($rulebook->weights());
        $limit = min(ReadBench::MOST_ROWS, max(1, $request->integer('limit', 200)));
        $page = $read->execute($this->shown($study), $this->sentence($request), $weights, $rulebook->int('min_fit'), max(0, $request->integer('cursor')), $limit);

        return new JsonResponse([...$page, 'weights' => $weights->toArray()]);
    }
}
