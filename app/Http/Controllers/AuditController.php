<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Audit\AuditQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/** Who did what, for administrators. */
final class AuditController extends Controller
{
    public function index(Request $request, AuditQuery $read): JsonResponse
    {
        if ($request->user()?->is_administrator !== true) {
            throw new AccessDeniedHttpException('Only administrators can see the audit log.');
        }
        /** @var array{person?: ?string, study?: ?string, action?: ?string, outcome?: ?string, from?: ?string, to?: ?string} $filter */
        $filter = $request->validate([
            'person' => ['nullable', 'string', 'max:200'],
            'study' => ['nullable', 'string', 'max:100'],
            'action' => ['nullable', 'string', 'max:100'],
            'outcome' => ['nullable', 'in:done,refused'],
            'from' => ['nullable', 'date_format:Y-m-d'],
            'to' => ['nullable', 'date_format:Y-m-d'],
        ]);
        $request->validate(['before' => ['nullable', 'integer', 'min:1', 'max:9007199254740991']]);
        $before = $request->filled('before') ? $request->integer('before') : null;

        return new JsonResponse($read->execute($filter, $before, min(AuditQuery::MOST, max(1, $request->integer('limit', 100)))));
    }
}
