<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Imports\ImportFile;
use App\Actions\Imports\PreviewFile;
use App\Http\Requests\ImportRequest;
use App\Jobs\RefreshComparison;
use App\Models\Import;
use App\Models\Study;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Http\JsonResponse;

final class ImportController extends Controller
{
    private const SHOWN = 100;

    public function index(Study $study): JsonResponse
    {
        /** @var list<Import> $imports */
        $imports = $study->imports()->orderByDesc('id')->limit(self::SHOWN)->get()->all();

        return new JsonResponse(array_map(static fn(Import $import): array => [
            'id' => $import->id,
            'kind' => $import->kind->value,
            'file' => $import->file_name,
            'day' => $import->day->toDateString(),
            'kept' => $import->rows_kept,
            'dropped' => $import->rows_dropped,
            'bad' => $import->rows_bad,
            'at' => $import->created_at->toIso8601ZuluString(),
        ], $imports));
    }

    public function preview(ImportRequest $request, Study $study, PreviewFile $preview, PublicSuffixList $suffixes): JsonResponse
    {
        return new JsonResponse($preview->execute($request->toOrder($study->load('domains'), $suffixes, true)));
    }

    public function store(ImportRequest $request, Study $study, ImportFile $import, PublicSuffixList $suffixes): JsonResponse
    {
        $outcome = $import->execute($request->toOrder($study->load('domains'), $suffixes, false));
        RefreshComparison::dispatch($study->id);

        return new JsonResponse($outcome, 201);
    }
}
