<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Models\Study;
use App\Support\Database\KeyedStream;
use App\Support\Database\RowStream;
use App\Support\PostgresStemmer;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\CurveFit;
use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\PageRanking;
use GreaterReach\Core\Meaning\TopicBuilder;
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

    public function execute(Study $study, Rulebook $rulebook, ComparedSnapshots $snapshots): Models
    {
        $facts = new KeywordFacts($study->id);
        $brands = $this->brands($snapshots->domains);
        $metrics = MetricsStream::open($study->id, $snapshots->domains, SourcePrecedence::of($rulebook));
        $medians = $facts->pageOneMedians();
        $pages = new KeyedStream(KeyedStream::grouped($this->pageRows($snapshots)));
        $observations = new WinObservations($snapshots->domainsWithSnapshot());
        $topics = new TopicBuilder($rulebook->int('topic_evidence'), new PostgresStemmer($study->language));
        $comfort = $linkDifficulties = $linkMedians = $ownPages = [];
        $none = array_fill(0, \count($snapshots->domains), null);
        foreach ((new Comparator())->rows($snapshots->currentStreams(), $none, $facts->listedKeywords()) as $row) {
            $known = $metrics->of($row->keyword);
            $median = $medians->at($row->keyword);
            $observations->add($known->difficulty, $row->positions);
            $topics->add($row->keyword, $known->volume, self::pageRankings($pages->at($row->keyword)));
            if ($known->difficulty !== null && ComfortDifficulty::counts($row->ownPosition(), $known->volume, $brands->domainsIn($row->keyword) !== 0, $rulebook->int('comfort_volume'))) {
                $comfort[] = $known->difficulty;
            }
            if ($known->difficulty !== null && $median !== null) {
                $linkDifficulties[] = $known->difficulty;
                $linkMedians[] = $median;
            }
            if (self::hasOwnPage($row)) {
                $ownPages[$row->keyword] = true;
            }
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
            $ownPages,
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

    private static function hasOwnPage(ComparisonRow $row): bool
    {
        return $row->ownPosition() !== null && $row->ownPosition() <= TacticRule::OWN_PAGE_WITHIN;
    }

    /** @return \Generator<int, list<mixed>> keyword, number of the domain, URL, position */
    private function pageRows(ComparedSnapshots $snapshots): \Generator
    {
        $numbers = [];
        foreach ($snapshots->current as $number => $snapshot) {
            if ($snapshot !== null) {
                $numbers[] = "({$snapshot->id}::bigint, {$number})";
            }
        }
        if ($numbers === []) {
            return;
        }
        $values = implode(', ', $numbers);
        yield from RowStream::of(<<<SQL
            SELECT keyword, number, url, position FROM rankings JOIN (VALUES {$values}) compared (snapshot_id, number) USING (snapshot_id)
            WHERE study_id = ? AND url IS NOT NULL ORDER BY keyword
            SQL, [$snapshots->study]);
    }

    /**
     * @param ?list<list<mixed>> $rows
     *
     * @return list<PageRanking>
     */
    private static function pageRankings(?array $rows): array
    {
        return array_map(static fn(array $row): PageRanking => new PageRanking($row[0], $row[1], $row[2], $row[3]), $rows ?? []);
    }

    /**
     * @param iterable<string, string> $topicOf
     * @param array<string, true>      $ownPages
     *
     * @return array<string, int>
     */
    private static function countByTopic(iterable $topicOf, array $ownPages): array
    {
        $counts = [];
        foreach ($topicOf as $keyword => $topic) {
            if (isset($ownPages[$keyword])) {
                $counts[$topic] = ($counts[$topic] ?? 0) + 1;
            }
        }

        return $counts;
    }
}
