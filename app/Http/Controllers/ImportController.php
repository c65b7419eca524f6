<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Imports\UndoImport;
use App\Actions\Tasks\StartTask;
use App\Http\Requests\ImportRequest;
use App\Http\Resources\TaskResource;
use App\Jobs\RefreshComparison;
use App\Models\Import;
use App\Models\Study;
use App\Models\TaskKind;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Http\JsonResponse;

final class ImportController extends Controller
{
    private const SHOWN = 200;

    public function index(Study $study): JsonResponse
    {
        /** @var list<Import> $imports */
        $imports = $study->imports()->whereNull('superseded_by')->orderByDesc('id')->limit(self::SHOWN)->get()->all();

        return new JsonResponse(array_map(static fn(Import $import): array => [
            'id' => $import->id,
            'kind' => $import->kind->value,
            'file' => $import->file_name,
            'format' => $import->format,
            'day' => $import->day->toDateString(),
            'kept' => $import->rows_kept,
            'dropped' => $import->rows_dropped,
            'bad' => $import->rows_bad,
            'at' => $import->created_at->toIso8601ZuluString(),
        ], $imports));
    }

    public function preview(ImportRequest $request, Study $study, StartTask $start, PublicSuffixList $suffixes): JsonResponse
    {
        return TaskResource::accepted(
            $start->execute(
                $study,
                $request->user()?->id,
                TaskKind::Preview,
                $request->uploaded($study)->file_name,
                $request->payload($study->load('domains'), $suffixes),
            ),
        );
    }

    public function store(ImportRequest $request, Study $study, StartTask $start, PublicSuffixList $suffixes): JsonResponse
    {
        return TaskResource::accepted(
            $start->execute(
                $study,
                $request->user()?->id,
                TaskKind::Import,
                $request->uploaded($study)->file_name,
                $request->payload($study->load('domains'), $suffixes),
            ),
        );
    }

    public function destroy(Study $study, int $import, UndoImport $undo): JsonResponse
    {
        $undo->execute($study, Import::query()->where('study_id', $study->id)->findOrFail($import));
        RefreshComparison::dispatch($study->id);

        return new JsonResponse(['undone' => $import]);
    }
}
