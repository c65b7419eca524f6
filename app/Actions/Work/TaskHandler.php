<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Models\Task;
use GreaterReach\Core\Exception\ReachException;

/** Does one kind of long work. Safe to begin again after it was cut off: until it ends it keeps nothing. */
interface TaskHandler
{
    /**
     * @return array<string, mixed> what came of it
     *
     * @throws ReachException with what is wrong and what to do, in words for the person
     * @throws TaskCancelled
     */
    public function run(Task $task, Progress $progress): array;

    /** Whether the study holds other data when it is done, so that what is compared is to be made again. */
    public function changesData(): bool;
}
