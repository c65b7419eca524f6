<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Exports\ModelExport;

final class ModelCommand extends ReachCommand
{
    protected $signature = 'reach:model {slug : Short name of the study}
        {--format=csv : csv or json}
        {--out=- : File to write, - for standard output}';

    protected $description = 'Show the models of a study: positions, links, comfort and effect of work';

    protected $help = 'Example: php artisan reach:model bees --format=json --out=model.json';

    public function handle(EnsureComparison $ensure, ModelExport $export): int
    {
        $this->format();
        $comparison = $ensure->execute(ComparisonOptions::shownBy($this->study()), $this->progress());

        return $this->export($export->table($comparison));
    }
}
