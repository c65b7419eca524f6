<?php

declare(strict_types=1);

namespace App\Http\Controllers;

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

    public function curve(Study $study, ReadCurve $read): JsonResponse
    {
        return new JsonResponse($read->execute($study->load('domains')));
    }
}
