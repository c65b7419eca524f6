<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Exports\ExportStorage;
use App\Actions\Imports\WriteReport;
use App\Actions\Tasks\TasksQuery;
use App\Http\Resources\TaskResource;
use App\Models\Study;
use App\Models\Task;
use App\Models\TaskStatus;
use App\Support\Database\Figures;
use App\Support\Tabular\XlsxFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class TaskController extends Controller
{
    public function index(Study $study, TasksQuery $read): JsonResponse
    {
        return new JsonResponse(array_map(TaskResource::of(...), $read->execute($study)));
    }

    public function show(Study $study, int $task, TasksQuery $read): JsonResponse
    {
        return new JsonResponse(TaskResource::of($read->looked($this->task($study, $task))));
    }

    /** Cancels it between two rows; what waits never begins. */
    public function destroy(Study $study, int $task): JsonResponse
    {
        $found = $this->task($study, $task);
        if ($found->status === TaskStatus::Waiting) {
            $found->update(['status' => TaskStatus::Cancelled, 'message' => 'Cancelled before it started.', 'finished_at' => now()]);
        }
        $found->update(['cancel_wanted' => true]);

        return new JsonResponse(TaskResource::of($found));
    }

    public function badRows(Study $study, int $task, WriteReport $report): Response
    {
        $found = $this->task($study, $task);

        /** @var array{total: int, rows: list<array{line: int, column: string, value: string, reason: string}>} $bad */
        $bad = $found->result['bad_rows'] ?? abort(404);

        return new Response($report->csvOf($bad, true), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="bad-rows.csv"',
        ]);
    }

    /** What a task has written; 404 once it is gone. */
    public function file(Study $study, int $task, ExportStorage $files): StreamedResponse
    {
        $found = $this->task($study, $task);
        $list = Figures::text($found->payload['list'] ?? null) ?? 'list';
        $name = "{$study->slug}-{$list}-as-shown.xlsx";

        return ($found->status === TaskStatus::Done ? $files->download($found->id, $name, XlsxFile::MIME) : null) ?? abort(404);
    }

    private function task(Study $study, int $task): Task
    {
        return Task::query()->where('study_id', $study->id)->findOrFail($task);
    }
}
