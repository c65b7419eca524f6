<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Studies\ReadLedger;
use App\Models\Study;
use Illuminate\Http\JsonResponse;

final class DomainController extends Controller
{
    public function index(Study $study, ReadLedger $ledger): JsonResponse
    {
        return new JsonResponse($ledger->execute($study->load(['domains', 'comparison'])));
    }
}
