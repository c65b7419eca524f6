<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Exports\TopicsExport;
use App\Models\Snapshot;

final class TopicsCommand extends ReachCommand
{
    protected $signature = 'reach:topics {slug : Short name of the study}
        {--format=csv : csv or json}
        {--out=- : File to write, - for standard output}';

    protected $description = 'Group the keywords of a study into topics';

    protected $help = 'Example: php artisan reach:topics bees --out=topics.csv';

    public function handle(EnsureComparison $ensure, TopicsExport $export): int
    {
        $this->format();
        $study = $this->study();
        $comparison = $ensure->execute(
            new ComparisonOptions($study, Snapshot::ORGANIC, 100, $study->as_of?->toDateString()),
            $this->progress(),
        );

        return $this->export($export->table($comparison));
    }
}
