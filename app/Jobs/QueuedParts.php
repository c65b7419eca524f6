<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Comparisons\PartQueue;

/** Parts in a lane of their own. */
final class QueuedParts implements PartQueue
{
    public function offer(string $order, string $key): void
    {
        DoPart::dispatch($order, $key)->beforeCommit();
    }
}
