<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Pulse;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Does one part of a comparison that another machine makes: what it needs comes out of the store, what comes of it goes there. */
final readonly class RunQueuedPart
{
    public function __construct(private PartStep $work)
    {
    }

    public function execute(string $json, string $key): void
    {
        $store = new PartStore($key);
        $folder = sys_get_temp_dir().'/reach-'.bin2hex(random_bytes(8));
        $order = PartInstructions::fromJson($json)->in($folder);
        $part = $order->parts[0];
        $lock = $store->lock($order->step, $part);
        if (! $store->isOpen() || $store->has($part->result($order->step)) || ! $lock->take()) {
            return;
        }
        mkdir($folder, 0o700);
        try {
            $this->make($order, $part, $store);
        } catch (PartCancelled) {
            // Another worker has it, or it was cancelled.
        } catch (\Throwable $error) {
            // The comparison ended and deleted its files, so this part is no longer needed.
            if ($store->isOpen()) {
                throw $error;
            }
        } finally {
            $lock->release();
            File::deleteDirectory($folder);
        }
    }

    private function make(PartInstructions $order, Part $part, PartStore $store): void
    {
        $needs = $order->step === 'gather' ? [] : [ModelsFile::path($part->folder), ...$part->needs($order->step)];
        foreach ($needs as $path) {
            $store->fetch($path) ?: throw new PartCancelled('What the part needs is gone.');
        }
        $wanted = new Pulse(static fn() => $store->isOpen() ?: throw new PartCancelled('The comparison is over.'), 2.0);
        DB::transaction(function () use ($order, $part, $wanted): void {
            self::lookAt($order->seen);
            $comparison = $order->comparisonOrder();
            $snapshots = ComparedSnapshots::of($comparison);
            $this->work->execute($order->step, $comparison, $snapshots, $order->comparison, $part, $wanted);
        });
        if ($store->isOpen()) {
            array_map($store->put(...), $part->results($order->step));
        }
        // It may have been closed while the result was on its way, which then lies there for no one.
        $store->isOpen() || $store->close();
    }

    /** The moment that the other one sees, for as long as it does. */
    private static function lookAt(string $seen): void
    {
        try {
            // A prepared statement would be a query already.
            DB::unprepared('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
            DB::unprepared('SET TRANSACTION SNAPSHOT '.DB::getPdo()->quote($seen));
        } catch (QueryException) {
            throw new PartCancelled('The comparison is over.');
        }
    }
}
