<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Exports\FindingsExport;

final class FindingsCommand extends ReachCommand
{
    protected $signature = 'reach:findings {slug : Short name of the study}
        {--format=csv : csv or json}
        {--out=- : File to write, - for standard output}';

    protected $description = 'List the findings of a study, most valuable first';

    protected $help = 'Example: php artisan reach:findings bees --out=findings.csv';

    public function handle(EnsureComparison $ensure, FindingsExport $export): int
    {
        $this->format();
        $study = $this->study();
        $ensure->execute(ComparisonOptions::shownBy($study), $this->progress());

        return $this->export($export->table($study->refresh()->load('domains')));
    }
}
