<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Actions\Bench\SteadinessQuery;
use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Models\Study;
use App\Models\Task;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Weights;

/** Draws weights at random for a list that is too long to be answered for at once. */
final readonly class SteadinessTask implements TaskHandler
{
    public function __construct(private SteadinessQuery $read)
    {
    }

    public function run(Task $task, Progress $progress): array
    {
        /** @var array{comparison: int, show: string, weights: string, by_topic?: bool, rows: int} $order */
        $order = $task->payload;
        $study = Study::query()->findOrFail($task->study_id);
        $comparison =
            Comparison::query()->where('study_id', $study->id)->find($order['comparison']) ??
            throw UserError::because('comparison', 'A newer comparison exists.');

        return [
            'steadiness' => $this->read->execute(
                $comparison,
                Sentence::parse($order['show']),
                $study->rulebook(),
                Weights::parse($order['weights']),
                $order['by_topic'] ?? false,
                static fn(int $read) => $progress->tell('reading scores', $read, $order['rows']),
            ),
        ];
    }

    public function changesData(): bool
    {
        return false;
    }
}
