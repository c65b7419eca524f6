<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Support\Database\CopyWriter;
use App\Support\Pulse;
use App\Support\Tabular\TableFile;
use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\NumberFormat;
use GreaterReach\Core\Intake\NumberFormatDetector;
use GreaterReach\Core\Intake\RowParser;

/** What one reading of a file brought into the staging table, and what it showed on the way. */
final readonly class StagedRows
{
    private function __construct(
        public Loader $loader,
        public int $kept,
        public int $dropped,
        public BadRows $badRows,
        public NumberFormatDetector $numbers,
    ) {
    }

    /** @param Pulse $pulse told the number of rows read */
    public static function read(TableFile $table, ColumnPlan $plan, NumberFormat $format, Loader $loader, Pulse $pulse): self
    {
        $loader->prepare();
        $writer = new CopyWriter('staged', $loader->columns());
        $parser = new RowParser($plan, $format);
        $badRows = new BadRows();
        $numbers = new NumberFormatDetector();
        $read = $dropped = 0;
        foreach ($table->rows() as $line => $cells) {
            $numbers->seeRow($cells, $plan);
            $values = $parser->parse($line, $cells);
            $staged = $values instanceof BadCell ? $values : $loader->stage($line, $values);
            if ($staged instanceof BadCell) {
                $badRows->add($staged);
            } elseif ($staged === null) {
                ++$dropped;
            } else {
                $writer->write($staged);
            }
            $pulse->beat(++$read);
        }

        return new self($loader, $writer->flush(), $dropped, $badRows, $numbers);
    }
}
