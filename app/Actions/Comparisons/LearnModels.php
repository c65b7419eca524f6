<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Models\Study;
use App\Support\PostgresStemmer;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\CurveFit;
use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Comparison\Gathered;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\TopicBuilder;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Metrics\SourcePrecedence;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinModel;
use GreaterReach\Core\Winning\WinObservations;

/** Reads the whole organic universe once, whatever `within` is, and learns from it what weighing needs. */
final readonly class LearnModels
{
    public function __construct(private PublicSuffixList $suffixes)
    {
    }

    /** @param \Closure(Gathered, Metrics, ?float): void $keep told everything gathered of each keyword, in key order; last its median of referring domains on page one */
    public function execute(Study $study, Rulebook $rulebook, ComparedSnapshots $snapshots, \Closure $keep): Models
    {
        $facts = new KeywordFacts($study->id);
        $brands = $this->brands($snapshots->domains);
        $metrics = MetricsStream::open($study->id, $snapshots->domains, SourcePrecedence::of($rulebook));
        $medians = $facts->pageOneMedians();
        $observations = new WinObservations($snapshots->domainsWithSnapshot());
        $topics = new TopicBuilder($rulebook->int('topic_evidence'), new PostgresStemmer($study->language));
        $comfort = $linkDifficulties = $linkMedians = [];
        $ownPages = '';
        $comfortVolume = $rulebook->int('comfort_volume');
        foreach (Comparator::gather($snapshots->currentStreams(), $snapshots->previousStreams(), $facts->listedKeywords()) as $gathered) {
            $keyword = $gathered->keyword;
            $known = $metrics->of($keyword);
            $median = $medians->at($keyword);
            $positions = $gathered->positions();
            $keep($gathered, $known, $median);
            $observations->add($known->difficulty, $positions);
            $topics->add($keyword, $known->volume, $gathered->rankings);
            if ($known->difficulty !== null && ComfortDifficulty::counts($positions[0], $known->volume, $comfortVolume) && $brands->domainsIn($keyword) === 0) {
                $comfort[] = $known->difficulty;
            }
            if ($known->difficulty !== null && $median !== null) {
                $linkDifficulties[] = $known->difficulty;
                $linkMedians[] = $median;
            }
            $ownPages .= TacticRule::isOwnPage($positions[0]) ? '1' : '0';
        }
        $comfortDifficulty = ComfortDifficulty::fromDifficulties($comfort);
        $authorities = array_map(static fn(Domain $domain): ?float => $domain->authority, $snapshots->domains);
        $built = $topics->build();

        return new Models(
            $this->curve($rulebook, $facts, $brands),
            $brands,
            $comfortDifficulty,
            WinModel::fit($observations, $authorities, $rulebook->float('win_lambda'), $comfortDifficulty),
            LinksNeeded::fit($linkDifficulties, $linkMedians),
            $built,
            self::countByTopic($built->byKeyword(), $ownPages),
        );
    }

    /** @param list<Domain> $domains */
    public function brands(array $domains): BrandMatcher
    {
        return BrandMatcher::of(array_map(fn(Domain $domain): array => $domain->allBrandTerms($this->suffixes), $domains));
    }

    public function curve(Rulebook $rulebook, KeywordFacts $facts, BrandMatcher $brands): CtrCurve
    {
        return match ($rulebook->text('curve')) {
            '2006' => CtrCurve::queryLog2006(),
            'own' => CtrCurve::ofRates($rulebook->numbers('curve_own')),
            'fitted' => $this->fit($rulebook, $facts, $brands)->curve(),
            default => CtrCurve::default(),
        };
    }

    public function fit(Rulebook $rulebook, KeywordFacts $facts, BrandMatcher $brands): CurveFit
    {
        $fit = new CurveFit($rulebook->float('curve_prior'));
        foreach ($facts->performanceRows() as [$query, $position, $clicks, $impressions]) {
            if (($brands->domainsIn($query) & 1) === 0) {
                $fit->add((float) $position, $clicks, $impressions);
            }
        }

        return $fit;
    }

    /**
     * @param iterable<string, string> $topicOf  keyword → topic, in key order
     * @param string                   $ownPages a `1` for each keyword in that order for which one of our pages ranks near
     *
     * @return array<string, int>
     */
    private static function countByTopic(iterable $topicOf, string $ownPages): array
    {
        $counts = [];
        $number = 0;
        foreach ($topicOf as $topic) {
            if ($ownPages[$number++] === '1') {
                $counts[$topic] = ($counts[$topic] ?? 0) + 1;
            }
        }

        return $counts;
    }
}
