<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Models\Study;
use App\Support\PostgresStemmer;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Comparison\GatheredKeyword;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\TopicBuilder;
use GreaterReach\Core\Meaning\Topics;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Pages\PageIndex;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\GroundIndex;
use GreaterReach\Core\Winning\MarketPages;
use GreaterReach\Core\Winning\PositionFeature;
use GreaterReach\Core\Winning\PositionFit;
use GreaterReach\Core\Winning\PositionGroups;
use GreaterReach\Core\Winning\PositionObservations;
use Illuminate\Support\Facades\DB;

/**
 * All keywords of a comparison together, as they go by once: their topics, whose pages serve them, the ground of every domain, and what the
 * models are fitted to. settle() comes when all have gone by.
 */
final class KeywordUniverse
{
    public readonly ComfortSamples $lessons;
    public readonly GroundIndex $grounds;

    /** @var list<?float> of every domain, ours first */
    public readonly array $authorities;

    private readonly PageGraph $graph;
    private readonly PageIndex $pages;
    private readonly TopicBuilder $builder;
    private readonly PositionObservations $observations;
    private readonly NewPages $newPages;

    /** @var array<string, string> keyword → topic that a person chose */
    private readonly array $decided;

    /** @var list<?int> */
    private array $volumes = [];

    /** Bits of the domains that rank for each keyword, four bytes each. */
    private string $present = '';

    /** @var array<int, string> number of a keyword → topic that a person chose */
    private array $wished = [];

    /** @var list<array{int, float, int, int, string, ?int}> keyword, difficulty, volume in halves, domain, page, position now */
    private array $followed = [];

    private Topics $topics;

    /** @var list<int> keyword → the place of its topic in taking order */
    private array $topicOf = [];

    /** @var array<int, int> topic → bits of the domains that have a page for it */
    private array $holders = [];

    /** @var array<int, int> keyword → number of the topic that a person chose */
    private array $chosen = [];

    /** @var array<int, int> the same by the topics that count, of our domain alone */
    private array $ownHolders = [];

    public function __construct(Study $study, ComparedSnapshots $snapshots, Rulebook $rulebook, private readonly BrandMatcher $brands)
    {
        $this->authorities = array_map(static fn(Domain $domain): ?float => $domain->authority, $snapshots->domains);
        $this->graph = new PageGraph();
        $this->pages = new PageIndex();
        $this->builder = new TopicBuilder($rulebook->int('topic_evidence'), new PostgresStemmer($study->language), $this->graph);
        $this->grounds = new GroundIndex(\count($this->authorities));
        $this->observations = new PositionObservations($this->authorities, $snapshots->domainsWithSnapshot());
        $this->lessons = new ComfortSamples($rulebook->int('comfort_volume'));
        $this->newPages = NewPages::of($snapshots);
        /** @var array<string, string> $decided */
        $decided = DB::table('decisions')->where('study_id', $study->id)->whereNotNull('topic')->pluck('topic', 'keyword')->all();
        $this->decided = $decided;
    }

    /** @param ?float $median referring domains of the pages at 1–10 */
    public function add(GatheredKeyword $gathered, Metrics $known, ?float $median): void
    {
        $keyword = $gathered->keyword;
        $positions = $gathered->positions();
        $isBranded = $this->brands->domainsIn($keyword) !== 0;
        $number = \count($this->volumes);
        $this->volumes[] = $known->volume;
        $this->present .= pack('V', self::presence($positions));
        $this->builder->add($keyword, $known->volume);
        $this->pages->add($this->graph->add($gathered->rankings));
        $this->grounds->add($positions);
        $this->observations->add($keyword, $known->difficulty, $known->volume, $positions, $isBranded);
        $this->lessons->add($positions[0], $known, $median, $isBranded);
        if (isset($this->decided[$keyword])) {
            $this->wished[$number] = $this->decided[$keyword];
        }
        foreach ($known->difficulty === null || $isBranded ? [] : $this->newPages->at($keyword) as [$domain, $page, $now]) {
            $this->followed[] = [$number, (float) $known->difficulty, PositionFeature::volumeHalves($known->volume), $domain, $page, $now];
        }
    }

    public function settle(CtrCurve $curve): void
    {
        $this->topics = $this->builder->build($this->pages);
        $this->topicOf = $this->topics->places();
        $this->grounds->settle($this->topics, $this->topicOf);
        $this->holders = $this->holders($this->topicOf, $curve);
        $this->chosen = $this->chosen();
        $this->ownHolders = $this->chosen === [] ? $this->holders : $this->holders(array_replace($this->topicOf, $this->chosen), $curve);
    }

    public function groups(): PositionGroups
    {
        return $this->observations->groups($this->grounds, $this->topicOf, $this->holders);
    }

    public function market(PositionFit $fit): MarketPages
    {
        $market = new MarketPages($fit);
        foreach ($this->followed as [$keyword, $difficulty, $halves, $domain, $page, $now]) {
            $ground = $this->grounds->hundredths($this->topicOf[$keyword], $domain);
            $market->add("{$domain} {$page}", $fit->score($difficulty, $this->authorities[$domain], $ground, $halves), $now);
        }

        return $market;
    }

    public function found(): TopicFacts
    {
        return new TopicFacts($this->topics, $this->grounds, $this->topicOf, $this->chosen, $this->ownHolders);
    }

    /** @param list<?int> $positions */
    private static function presence(array $positions): int
    {
        $present = 0;
        foreach ($positions as $domain => $position) {
            $present |= $position === null ? 0 : 1 << $domain;
        }

        return $present;
    }

    /**
     * Which domains have a page for which topics: those of which it is the own topic of a page. A domain of whose pages too little is known
     * has one wherever it ranks.
     *
     * @param array<int, int> $topicOf keyword → topic
     *
     * @return array<int, int> topic → bits of the domains
     */
    private function holders(array $topicOf, CtrCurve $curve): array
    {
        $holders = [];
        $untold = 0;
        foreach (array_keys($this->authorities) as $domain) {
            $untold |= $this->graph->isTold($domain) ? 0 : 1 << $domain;
        }
        foreach ($this->pages->ownTopics($topicOf, $this->volumes, $curve) as $page => $topic) {
            $holders[$topic] = ($holders[$topic] ?? 0) | (1 << $this->graph->domainOf($page) & ~$untold);
        }
        foreach ($untold === 0 ? [] : $topicOf as $keyword => $topic) {
            /** @var array{1: int} $present */
            $present = unpack('V', $this->present, 4 * $keyword);
            $holders[$topic] = ($holders[$topic] ?? 0) | ($present[1] & $untold);
        }

        return $holders;
    }

    /** @return array<int, int> keyword → number of the topic that a person chose: that of a topic found, or one of its own behind them */
    private function chosen(): array
    {
        $numbers = [];
        $names = array_values(array_unique($this->wished));
        if ($names !== []) {
            $wanted = array_flip($names);
            $numbers = array_flip(array_filter($this->topics->names(), static fn(string $name): bool => isset($wanted[$name])));
            sort($names, SORT_STRING);
            foreach ($names as $name) {
                $numbers[$name] ??= $this->topics->count() + \count($numbers);
            }
        }

        return array_map(static fn(string $name): int => $numbers[$name], $this->wished);
    }
}
