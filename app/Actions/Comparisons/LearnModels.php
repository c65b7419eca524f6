<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Models\Study;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\CurveFit;
use GreaterReach\Core\Comparison\GatheredKeyword;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\StemSets;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\PositionModel;

/** Goes once through all that was gathered, whatever `within` is, and learns from it what weighing needs. */
final readonly class LearnModels
{
    public function __construct(private PublicSuffixList $suffixes, private LearnEffects $effect)
    {
    }

    /**
     * @param iterable<string>                                $lines as GatheredLine makes them, in key order
     * @param \Closure(GatheredKeyword, Metrics, list<string>): void $tell  called for each keyword with its rankings, metrics and features
     */
    public function execute(Study $study, ComparedSnapshots $snapshots, CtrCurve $curve, iterable $lines, \Closure $tell): LearningResult
    {
        $rulebook = $study->rulebook();
        $universe = new KeywordUniverse($study, $snapshots, $rulebook, $this->brands($snapshots->domains));
        foreach ($lines as $line) {
            [$gathered, $known, $median, $features] = GatheredLine::learnable($line);
            $tell($gathered, $known, $features);
            $universe->add($gathered, $known, $median);
        }
        $universe->settle($curve);
        $comfort = $universe->lessons->comfort();
        $lambda = $rulebook->float('model_lambda');
        $groups = $universe->groups();
        $positions = PositionModel::learn($groups, $lambda, $comfort, $universe->authorities[0]);
        $market = $universe->market($positions->fit);
        $models = new Models(
            $curve,
            $comfort,
            $positions,
            $universe->lessons->links(),
            Effects::learn($market->count(), $market->shift(), $this->effect->finished($study, $rulebook)),
            array_map(StemSets::asHex(...), $universe->grounds->commonStems()),
        );

        return new LearningResult($models, $universe->found(), static fn(): Models => $models->withPositions(
            $positions->judged($groups, $lambda, $comfort),
        ));
    }

    /** @param list<Domain> $domains */
    public function brands(array $domains): BrandMatcher
    {
        return BrandMatcher::of(array_map(fn(Domain $domain): array => $domain->allBrandTerms($this->suffixes), $domains));
    }

    public function curve(Rulebook $rulebook, KeywordStreams $facts, BrandMatcher $brands): CtrCurve
    {
        return match ($rulebook->text('curve')) {
            '2006' => CtrCurve::queryLog2006(),
            'own' => CtrCurve::ofRates($rulebook->numbers('curve_own')),
            'fitted' => $this->fit($rulebook, $facts, $brands)->curve(),
            'auto' => $this->ownOrDefault($this->fit($rulebook, $facts, $brands)),
            default => CtrCurve::default(),
        };
    }

    private function ownOrDefault(CurveFit $fit): CtrCurve
    {
        return $fit->isTrustworthy() ? $fit->curve() : CtrCurve::default();
    }

    public function fit(Rulebook $rulebook, KeywordStreams $facts, BrandMatcher $brands): CurveFit
    {
        $fit = new CurveFit($rulebook->float('curve_prior'));
        foreach ($facts->performanceRows() as [$query, $position, $clicks, $impressions]) {
            if (($brands->domainsIn($query) & 1) === 0) {
                $fit->add((float) $position, $clicks, $impressions);
            }
        }

        return $fit;
    }
}
