<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Models\Study;
use App\Support\PostgresStemmer;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\CurveFit;
use GreaterReach\Core\Comparison\Gathered;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\TopicBuilder;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Winning\GroundBook;
use GreaterReach\Core\Winning\PositionModel;
use GreaterReach\Core\Winning\PositionObservations;

/** Goes once through all that was gathered, whatever `within` is, and learns from it what weighing needs. */
final readonly class LearnModels
{
    public function __construct(private PublicSuffixList $suffixes, private LearnEffect $effect)
    {
    }

    /**
     * @param iterable<string>                                $lines as GatheredLine makes them, in key order
     * @param \Closure(Gathered, Metrics, list<string>): void $tell  told what was gathered of each keyword: rankings, metrics, features
     */
    public function execute(Study $study, ComparedSnapshots $snapshots, CtrCurve $curve, iterable $lines, \Closure $tell): Learnt
    {
        $rulebook = $study->rulebook();
        $brands = $this->brands($snapshots->domains);
        $authorities = array_map(static fn(Domain $domain): ?float => $domain->authority, $snapshots->domains);
        $graph = new PageGraph();
        $topics = new TopicBuilder($rulebook->int('topic_evidence'), new PostgresStemmer($study->language), $graph);
        $grounds = new GroundBook(\count($authorities));
        $observations = new PositionObservations($authorities, $snapshots->domainsWithSnapshot());
        $lessons = new Lessons($rulebook->int('comfort_volume'));
        foreach ($lines as $line) {
            [[$gathered, $known, $median, $features], $named] = GatheredLine::learnable($line);
            $keyword = $gathered->keyword;
            $positions = $gathered->positions();
            $isBranded = $brands->domainsIn($keyword) !== 0;
            $tell($gathered, $known, $features);
            $topics->add($keyword, $known->volume);
            $grounds->add($graph->add($gathered->rankings, $named), $positions);
            $observations->add($keyword, $known->difficulty, $positions, $isBranded);
            $lessons->add($positions[0], $known, $median, $isBranded);
        }
        $isTold = $graph->isTold();
        $groups = $observations->groups($grounds, $lessons->addGround(...));
        unset($grounds, $observations);
        $comfort = $lessons->comfort();
        $lambda = $rulebook->float('model_lambda');
        $models = new Models(
            $curve,
            $comfort,
            PositionModel::learn($groups, $isTold, $lambda, $comfort, $authorities[0]),
            $lessons->links(),
            $this->effect->execute($study),
        );
        $found = new FoundFacts($topics->build(), $lessons->ownPages(), $lessons->grounds());

        return new Learnt($models, $found, static fn(): Models => $models->withPositions(
            $models->positions->judged($groups, $isTold, $lambda, $comfort),
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
            default => CtrCurve::default(),
        };
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
