<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparisonOrder;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Plans\PlanOpportunities;
use App\Support\Tabular\Table;
use GreaterReach\Core\Plan\Month;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class PlanCommand extends ReachCommand
{
    protected $signature = 'reach:plan {slug : Short name of the study}
        {--months=6 : Months to plan, 1 to 60}
        {--capacity=10 : Days of work in each month}
        {--start= : First month, YYYY-MM; the present one when left out}
        {--format=csv : csv or json}
        {--out=- : File to write, - for standard output}';

    protected $description = 'Propose what to do in which month within a capacity';

    protected $help = 'Example: php artisan reach:plan bees --months=3 --capacity=12.5 --start=2026-12 --out=plan.csv';

    public function handle(EnsureComparison $ensure, PlanOpportunities $make): int
    {
        $this->format();
        $months = $this->wholeNumber('months', 1, 60);
        $capacity = $this->text('capacity');
        if (preg_match('/^\d{1,4}(\.\d{1,4})?$/D', $capacity) !== 1) {
            throw new InvalidOptionException(
                sprintf(
                    'The "--capacity" option must be a number of days from 0 to 9999; "%s" is not.',
                    mb_strimwidth($capacity, 0, 40, '…'),
                ),
            );
        }
        $study = $this->study();
        $start = Month::parse($this->optionalText('start') ?? now('UTC')->format('Y-m'));
        $comparison = $ensure->execute(ComparisonOrder::shownBy($study), $this->progress());
        $plan = $make->execute($study, $comparison, $months, (float) $capacity, $start);

        return $this->export(new Table(PlanOpportunities::HEADINGS, array_map(array_values(...), $plan)));
    }
}
