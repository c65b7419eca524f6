<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Exports\ListExport;
use App\Actions\Tasks\StartTask;
use App\Http\Requests\ShownListRequest;
use App\Http\Requests\ShownTableRequest;
use App\Http\Resources\TaskResource;
use App\Http\Responses\TableDownload;
use App\Models\Study;
use App\Models\TaskKind;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What stands on the screen, with its columns as they are shown, as a file. */
final class ShownExportController extends Controller
{
    public function list(ShownListRequest $request, Study $study, string $format, ListExport $export): StreamedResponse
    {
        $shown = $request->shown($this->weights($request, $study->rulebook()));
        $table = $export->table($this->shown($study), $shown, $study->rulebook()->fitGate())->titled($request->title());

        $name = "{$study->slug}-{$shown->list->value}-as-shown.{$format}";

        return TableDownload::of($table, $format, $name, $request->boolean('guard', true));
    }

    /** Writes a spreadsheet in the background: 202 with the task whose file it will be. */
    public function begin(ShownListRequest $request, Study $study, ListExport $export, StartTask $start): JsonResponse
    {
        $shown = $request->shown($this->weights($request, $study->rulebook()));
        // A wrong column or order is told at once.
        $export->table($this->shown($study), $shown, $study->rulebook()->fitGate());
        $task = $start->execute($study, $request->user()?->id, TaskKind::Export, 'A list as a spreadsheet', [
            'list' => $shown->list->value,
            'show' => (string) $shown->sentence,
            'weights' => (string) $shown->weights,
            'sort' => $shown->sort,
            'descending' => $shown->isDescending,
            'columns' => $shown->columns,
            'title' => $request->title(),
        ]);

        return TaskResource::accepted($task);
    }

    public function table(ShownTableRequest $request, Study $study, string $format): StreamedResponse
    {
        return TableDownload::of(
            $request->table(),
            $format,
            "{$study->slug}-{$request->name()}.{$format}",
            $request->boolean('guard', true),
        );
    }
}
