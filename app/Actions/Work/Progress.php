<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Models\Task;
use Illuminate\Support\Facades\DB;

/** Tells how far a task is, beside whatever transaction is open, and stops it when a person wants that. */
final class Progress
{
    private const EVERY = .4;

    private float $told = 0.0;

    public function __construct(private readonly Task $task)
    {
    }

    /**
     * @param string $stage what is being done, in words
     *
     * @throws TaskCancelled
     */
    public function tell(string $stage, int $done, ?int $total = null): void
    {
        $now = hrtime(true) / 1e9;
        if ($now - $this->told < self::EVERY) {
            return;
        }
        $this->told = $now;
        /** @var ?object{cancel_wanted: bool} $row */
        $row = DB::connection('progress')->selectOne(
            'UPDATE tasks SET stage = ?, done = ?, total = ? WHERE id = ? RETURNING cancel_wanted',
            [$stage, $done, $total, $this->task->id],
        );
        if ($row === null || $row->cancel_wanted) {
            throw new TaskCancelled();
        }
    }
}
