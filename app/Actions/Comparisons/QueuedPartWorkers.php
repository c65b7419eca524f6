<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Database\Figures;
use Illuminate\Support\Facades\DB;

/**
 * Workers of whichever machine that take a part each off the queue, see the database as this one does, and leave the result in the store.
 * This one does parts, too, that no one is at: so it needs no one, and a part whose worker died is done again.
 */
final class QueuedPartWorkers implements PartWorkers
{
    private readonly PartStore $store;

    /** @var list<Part> */
    private array $parts = [];

    public function __construct(
        private readonly PartQueue $queue,
        private readonly PartStep $work,
        private readonly ComparisonOptions $order,
        private readonly ComparedSnapshots $snapshots,
        private readonly int $comparison,
        private readonly string $folder,
    ) {
        $this->store = new PartStore(basename($folder));
    }

    public function begin(string $step, array $parts): void
    {
        $this->parts = $parts;
        $this->store->open();
        if ($step === 'weigh') {
            $this->store->put(ModelsFile::path($this->folder));
        }
        $seen = (string) Figures::text(DB::scalar('SELECT pg_export_snapshot()'));
        foreach ($parts as $part) {
            array_map($this->store->put(...), array_filter($part->needs($step), fn(string $path): bool => ! $this->store->has($path)));
            $order = PartInstructions::of($step, $this->order, $this->comparison, $seen, $this->folder, [$part]);
            $this->queue->offer($order->toJson(), basename($this->folder));
        }
    }

    public function await(string $step, Part $part): void
    {
        while (! is_file($part->result($step)) && ! $this->fetch($step, $part)) {
            if (! $this->doOne($step)) {
                usleep(100_000);
            }
        }
    }

    /**
     * @param value-of<PartStep::STEPS> $step
     *
     * @return bool whether all that the step leaves is there
     */
    private function fetch(string $step, Part $part): bool
    {
        if (! $this->store->has($part->result($step))) {
            return false;
        }
        array_map($this->store->fetch(...), $part->results($step));

        return true;
    }

    public function end(): void
    {
        $this->store->close();
    }

    /**
     * @param value-of<PartStep::STEPS> $step
     *
     * @return bool whether there was one that no one was at
     */
    private function doOne(string $step): bool
    {
        foreach ($this->parts as $part) {
            if (is_file($part->result($step)) || $this->store->has($part->result($step))) {
                continue;
            }
            $lock = $this->store->lock($step, $part);
            if (! $lock->take()) {
                continue;
            }
            try {
                $this->work->execute($step, $this->order, $this->snapshots, $this->comparison, $part);
            } finally {
                $lock->release();
            }

            return true;
        }

        return false;
    }
}
