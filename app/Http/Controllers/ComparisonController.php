<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Comparisons\ComparisonOrder;
use App\Actions\Comparisons\EnsureComparison;
use App\Http\Resources\ComparisonResource;
use App\Jobs\RefreshComparison;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Cache;

final class ComparisonController extends Controller
{
    /** The comparison on show. When it is no longer current a new one is ordered, and the old one stays until then. */
    public function show(Study $study, EnsureComparison $ensure): JsonResponse
    {
        $current = $ensure->current(ComparisonOrder::shownBy($study->load(['domains', 'comparison'])));
        $isCurrent = $current !== null && ($current->keywords() > 0 ? $current->id : null) === $study->comparison_id;
        if (! $isCurrent) {
            RefreshComparison::dispatch($study->id);
        }

        return new JsonResponse([
            'is_current' => $isCurrent,
            'keywords_done' => Cache::get(RefreshComparison::progressKey($study->id)),
            'comparison' => $study->comparison === null ? null : ComparisonResource::make($study->comparison),
        ]);
    }
}
