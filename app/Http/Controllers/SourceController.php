<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Comparisons\LearnEffect;
use App\Actions\Studies\ReadCurve;
use App\Models\Study;
use App\Support\Sources\Sources;
use Illuminate\Http\JsonResponse;

final class SourceController extends Controller
{
    public function index(Sources $sources): JsonResponse
    {
        return new JsonResponse($sources->names());
    }

    /** What the effect is learnt from. */
    public function effect(Study $study, LearnEffect $learn): JsonResponse
    {
        $study->load('domains');

        return new JsonResponse([...$learn->execute($study)->toArray(), 'finished' => $learn->finished($study, $study->rulebook())]);
    }

    public function curve(Study $study, ReadCurve $read): JsonResponse
    {
        return new JsonResponse($read->execute($study->load('domains')));
    }
}
