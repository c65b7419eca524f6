<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Exports\WeighExport;
use App\Actions\Exports\WeighTopicsExport;
use App\Models\Study;
use GreaterReach\Core\Priority\Weights;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class WeighCommand extends ReachCommand
{
    protected $signature = 'reach:weigh {slug : Short name of the study}
        {--by=keyword : keyword or topic (pages)}
        {--preset= : reach, plain, even, business, sales or swift}
        {--weights= : criterion:weight pairs such as volume:1,ease:1,gain:1}
        {--format=csv : csv or json}
        {--out=- : File to write, - for standard output}';

    protected $description = 'Rank the opportunities of a study by priority, keyword by keyword or page by page';

    protected $help = 'Example: php artisan reach:weigh bees --weights=volume:1,ease:2,gain:1 --out=weigh.csv';

    public function handle(EnsureComparison $ensure, WeighExport $keywords, WeighTopicsExport $topics): int
    {
        $this->format();
        $isByTopic = $this->oneOf('by', ['keyword', 'topic']) === 'topic';
        $study = $this->study();
        $weights = $this->weights($study);
        $comparison = $ensure->execute(ComparisonOptions::shownBy($study), $this->progress());

        return $this->export(
            $isByTopic
                ? $topics->table($study, $comparison, $weights)
                : $keywords->table($study, $comparison, $weights, $study->rulebook()->fitGate()),
        );
    }

    private function weights(Study $study): Weights
    {
        $preset = $this->optionalText('preset');
        $weights = $this->optionalText('weights');
        if ($preset !== null && $weights !== null) {
            throw new InvalidOptionException('Use either --preset or --weights, not both.');
        }
        if ($preset !== null) {
            return Weights::preset($preset);
        }

        return $weights === null ? $study->rulebook()->priorities() : Weights::parse($weights);
    }
}
