<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Exports\CompareExport;

final class CompareCommand extends ReachCommand
{
    protected $signature = 'reach:compare {slug : Short name of the study}
        {--date= : Compare as of this day, YYYY-MM-DD; the newest snapshots when left out}
        {--within= : Count positions up to 10, 20, 50 or 100; the rulebook\'s when left out}
        {--channel=organic : organic or paid}
        {--format=csv : csv or json}
        {--out=- : File to write, - for standard output}';

    protected $description = 'Compare our domain with its competitors, one row per keyword';

    protected $help = 'Example: php artisan reach:compare bees --within=20 --out=compare.csv';

    public function handle(EnsureComparison $ensure, CompareExport $export): int
    {
        $this->format();
        $channel = $this->oneOf('channel', ['organic', 'paid']);
        $study = $this->study();
        $within =
            $this->optionalText('within') === null
                ? $study->rulebook()->int('within')
                : (int) $this->oneOf('within', ['10', '20', '50', '100']);
        $day = $this->optionalDay('date') ?? $study->as_of?->toDateString();
        $comparison = $ensure->execute(new ComparisonOptions($study, $channel, $within, $day), $this->progress());

        return $this->export($export->table($comparison));
    }
}
