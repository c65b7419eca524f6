<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Comparisons\RunQueuedPart;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * One part of a large comparison, for whichever worker is free. Lost, failed or done twice it harms no one: who makes the comparison sees
 * to it.
 */
final class DoPart implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public const LANE = 'parts';

    public int $tries = 1;

    public int $timeout = 1800;

    /**
     * @param string $order as PartInstructions writes it, of one part
     * @param string $key   where its files lie in the store
     */
    public function __construct(public readonly string $order, public readonly string $key)
    {
        $this->onQueue(self::LANE);
    }

    public function handle(RunQueuedPart $do): void
    {
        $do->execute($this->order, $this->key);
    }
}
