<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Http\Resources\ComparisonResource;
use App\Jobs\RefreshComparison;
use App\Models\Study;
use App\Support\Database\Figures;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Cache;

final class ComparisonController extends Controller
{
    /** The comparison on show. When it is no longer current new page is ordered, and the old one stays until then. */
    public function show(Study $study, EnsureComparison $ensure): JsonResponse
    {
        $current = $ensure->current(ComparisonOptions::shownBy($study->load(['domains', 'comparison'])));
        $isCurrent = $current !== null && ($current->keywords() > 0 ? $current->id : null) === $study->comparison_id;
        $problem = $isCurrent ? null : self::problem($study);
        if (! $isCurrent && $problem === null) {
            RefreshComparison::dispatch($study->id);
        }

        return new JsonResponse([
            'is_current' => $isCurrent,
            'problem' => $problem,
            'keywords_done' => Figures::int(Cache::get(RefreshComparison::progressKey($study->id))),
            'comparison' => $study->comparison === null ? null : ComparisonResource::make($study->comparison),
        ]);
    }

    /** Tries again what broke off. */
    public function store(Study $study, EnsureComparison $ensure): JsonResponse
    {
        Cache::forget(RefreshComparison::problemKey($study->id));

        return $this->show($study, $ensure);
    }

    /** Why the comparison broke off that these data were compared by; null where none did. */
    private static function problem(Study $study): ?string
    {
        $problem = Cache::get(RefreshComparison::problemKey($study->id));

        return \is_array($problem) && ($problem['data_version'] ?? null) === $study->data_version && \is_string($problem['words'] ?? null)
            ? $problem['words']
            : null;
    }
}
