<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Actions\Pulls\PullOptions;
use App\Actions\Pulls\PullStudy;
use App\Models\Study;
use App\Models\Task;

/** Pulls a study from its source. */
final readonly class PullTask implements TaskHandler
{
    public function __construct(private PullStudy $pull)
    {
    }

    public function run(Task $task, Progress $progress): array
    {
        $study = Study::query()->with('domains')->findOrFail($task->study_id);
        /** @var array{source: string, date: ?string, snapshots: int, domain: ?int} $payload */
        $payload = $task->payload;
        $domain = $study->domains->first(static fn($domain): bool => $domain->id === $payload['domain']);
        $pulled = $this->pull->execute(
            new PullOptions($study, $payload['source'], $payload['date'], $payload['snapshots'], $domain, $task->user_id),
            $progress->tell(...),
        );

        return $pulled;
    }

    public function changesData(): bool
    {
        return true;
    }
}
