<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparedSnapshots;
use App\Actions\Comparisons\PartsOrder;
use App\Actions\Comparisons\PartWork;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Not for people: large comparisons start it beside themselves for some parts of their keywords. */
final class PartCommand extends Command
{
    protected $signature = 'reach:part';

    protected $description = 'Do some parts of a comparison; the order comes as JSON on standard input';

    protected $hidden = true;

    public function handle(PartWork $work): int
    {
        $order = PartsOrder::fromJson((string) stream_get_contents(STDIN));
        DB::transaction(static function () use ($order, $work): void {
            // A prepared statement would be a query already.
            DB::unprepared('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
            DB::unprepared('SET TRANSACTION SNAPSHOT '.DB::getPdo()->quote($order->seen));
            $comparison = $order->comparisonOrder();
            $snapshots = ComparedSnapshots::of($comparison);
            foreach ($order->parts as $part) {
                $work->execute($order->step, $comparison, $snapshots, $order->comparison, $part);
            }
        });

        return self::SUCCESS;
    }
}
