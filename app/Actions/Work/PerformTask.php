<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Actions\Imports\ImportFailed;
use App\Exceptions\FailureMessage;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskStatus;
use App\Support\LastChange;
use App\Support\Tabular\UnpackedFile;
use GreaterReach\Core\Exception\ReachException;
use Illuminate\Contracts\Container\Container;

/** Carries out a task and writes down how it ended, in words for the person who asked for it. */
final readonly class PerformTask
{
    public function __construct(private Container $container)
    {
    }

    /** @return bool whether the study holds other data now */
    public function execute(Task $task): bool
    {
        if ($task->status->isOver() || ! TaskLock::take($task->id)) {
            return false;
        }
        $handler = $this->handler($task->kind);
        $task->update(['status' => TaskStatus::Running, 'started_at' => now(), 'starts' => $task->starts + 1]);
        try {
            $this->end($task, TaskStatus::Done, '', $handler->run($task, new Progress($task)));
        } catch (TaskCancelled) {
            $this->end($task, TaskStatus::Cancelled, 'Cancelled. Nothing was saved.');
        } catch (ImportFailed $refused) {
            $this->end($task, TaskStatus::Failed, $refused->getMessage(), ['bad_rows' => $refused->badRows]);
        } catch (ReachException $problem) {
            $this->end($task, TaskStatus::Failed, $problem->getMessage());
        } catch (\Throwable $error) {
            report($error);
            $this->end($task, TaskStatus::Failed, FailureMessage::of($error));
        } finally {
            TaskLock::release($task->id);
            UnpackedFile::deleteAll();
        }

        return $task->status === TaskStatus::Done && $handler->changesData();
    }

    private function handler(TaskKind $kind): TaskHandler
    {
        $handler = $this->container->make(match ($kind) {
            TaskKind::Preview => PreviewTask::class,
            TaskKind::Import => ImportTask::class,
            TaskKind::Pull => PullTask::class,
            TaskKind::Steadiness => SteadinessTask::class,
            TaskKind::Export => ExportTask::class,
        });

        return $handler;
    }

    /** @param ?array<string, mixed> $result */
    private function end(Task $task, TaskStatus $status, string $message, ?array $result = null): void
    {
        $task->update(['status' => $status, 'message' => $message, 'result' => $result, 'finished_at' => now()]);
        if ($task->user_id !== null) {
            LastChange::note($task->user_id);
        }
    }
}
