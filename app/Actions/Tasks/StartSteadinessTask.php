<?php

declare(strict_types=1);

namespace App\Actions\Tasks;

use App\Models\Comparison;
use App\Models\Study;
use App\Models\Task;
use App\Models\TaskKind;
use App\Support\Rows\RankedRows;
use App\Support\Rows\RankedTopics;
use App\Support\Sentence\Sentence;
use App\Support\StudyState;
use GreaterReach\Core\Priority\Weights;

/** Calculates the stability of a long list in the background, once per list. */
final readonly class StartSteadinessTask
{
    public function __construct(private StartTask $start, private TasksQuery $tasks)
    {
    }

    /** @return ?Task null where the list is short enough to be answered for at once */
    public function execute(Study $study, Comparison $comparison, Sentence $sentence, Weights $weights, bool $isByTopic, ?int $user): ?Task
    {
        $gate = $study->rulebook()->fitGate();
        $rows = $isByTopic
            ? (new RankedTopics($comparison, $sentence, $gate))->count()
            : (new RankedRows($comparison, $sentence, $gate, false))->count();
        if ($rows <= config()->integer('reach.steadiness_at_once')) {
            return null;
        }
        $order = [
            'comparison' => $comparison->id,
            'show' => (string) $sentence,
            'weights' => (string) $weights,
            'by_topic' => $isByTopic,
            'rows' => $rows,
        ];
        $order['key'] = hash('sha256', json_encode([$order, StudyState::of($study->id)], JSON_THROW_ON_ERROR));
        /** @var ?Task $task */
        $task = Task::query()
            ->where('study_id', $study->id)
            ->where('kind', TaskKind::Steadiness)
            ->whereRaw('payload @> ?::jsonb', [json_encode(['key' => $order['key']], JSON_THROW_ON_ERROR)])
            ->latest('id')
            ->first();

        return $task === null
            ? $this->start->execute($study, $user, TaskKind::Steadiness, 'Stability of the top ranks', $order)
            : $this->tasks->looked($task);
    }
}
