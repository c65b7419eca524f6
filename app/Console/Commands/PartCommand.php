<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparedSnapshots;
use App\Actions\Comparisons\PartInstructions;
use App\Actions\Comparisons\PartStep;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Not for people: a large comparison starts it beside itself and gives it some parts of each step, until it closes the input. */
final class PartCommand extends Command
{
    protected $signature = 'reach:part';

    protected $description = 'Do parts of a comparison; orders are read from standard input, one line of JSON each';

    protected $hidden = true;

    public function handle(PartStep $work): int
    {
        while (($line = fgets(STDIN)) !== false) {
            self::do(PartInstructions::fromJson($line), $work);
        }

        return self::SUCCESS;
    }

    private static function do(PartInstructions $order, PartStep $work): void
    {
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
    }
}
