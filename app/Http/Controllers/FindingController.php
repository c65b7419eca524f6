<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Findings\FindingsQuery;
use App\Models\Study;
use Illuminate\Http\JsonResponse;

/** Findings in a study. */
final class FindingController extends Controller
{
    public function index(Study $study, FindingsQuery $read): JsonResponse
    {
        return new JsonResponse(['findings' => $read->execute($study->load('domains'))]);
    }
}
