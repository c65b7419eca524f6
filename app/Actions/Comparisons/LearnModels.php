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
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinModel;
use GreaterReach\Core\Winning\WinObservations;

/** Goes once through all that was gathered, whatever `within` is, and learns from it what weighing needs. */
final readonly class LearnModels
{
    public function __construct(private PublicSuffixList $suffixes)
    {
    }

    /**
     * @param iterable<string>                  $lines as GatheredLine makes them, in key order
     * @param \Closure(Gathered, Metrics): void $tell  told what was gathered of each keyword
     *
     * @return array{Models, FoundTopics}
     */
    public function execute(Study $study, ComparedSnapshots $snapshots, CtrCurve $curve, iterable $lines, \Closure $tell): array
    {
        $rulebook = $study->rulebook();
        $brands = $this->brands($snapshots->domains);
        $observations = new WinObservations($snapshots->domainsWithSnapshot());
        $topics = new TopicBuilder($rulebook->int('topic_evidence'), new PostgresStemmer($study->language));
        $comfort = $linkDifficulties = $linkMedians = [];
        $ownPages = '';
        $comfortVolume = $rulebook->int('comfort_volume');
        foreach ($lines as $line) {
            [$gathered, $known, $median] = GatheredLine::whole($line);
            $keyword = $gathered->keyword;
            $positions = $gathered->positions();
            $tell($gathered, $known);
            $observations->add($known->difficulty, $positions);
            $topics->add($keyword, $known->volume, $gathered->rankings);
            if (
                $known->difficulty !== null &&
                ComfortDifficulty::counts($positions[0], $known->volume, $comfortVolume) &&
                $brands->domainsIn($keyword) === 0
            ) {
                $comfort[] = $known->difficulty;
            }
            if ($known->difficulty !== null && $median !== null) {
                $linkDifficulties[] = $known->difficulty;
                $linkMedians[] = $median;
            }
            $ownPages .= TacticRule::isOwnPage($positions[0]) ? '1' : '0';
        }
        $comfortDifficulty = ComfortDifficulty::fromDifficulties($comfort);
        $figures = array_map(static fn(Domain $domain): array => $domain->figures(), $snapshots->domains);
        $models = new Models(
            $curve,
            $comfortDifficulty,
            WinModel::fit($observations, $figures, $rulebook->float('win_lambda'), $comfortDifficulty),
            LinksNeeded::fit($linkDifficulties, $linkMedians),
        );

        return [$models, new FoundTopics($topics->build(), $ownPages)];
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
