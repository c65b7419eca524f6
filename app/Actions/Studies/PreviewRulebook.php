<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Actions\Bench\ReadOpportunities;
use App\Actions\Comparisons\KeywordStreams;
use App\Actions\Comparisons\LearnEffect;
use App\Actions\Comparisons\LearnModels;
use App\Exceptions\Refused;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Database\KeyedStream;
use App\Support\Database\RowStream;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Priority\Candidate;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\OpportunityOrder;
use GreaterReach\Core\Priority\Weigher;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\Ground;
use Illuminate\Support\Facades\DB;

/**
 * What a changed rulebook would move, before it is saved: horizons, and the first twenty before and after. Every listed
 * row of the comparison on show is weighed anew by the same rules; what is learnt from the whole study stays as it is.
 *
 * @phpstan-type WeighedLine array{string, string, ?int, ?int, ?string, ?string, ?string, ?string, ?string,
 *     ?int, ?int, ?string}
 */
final readonly class PreviewRulebook
{
    private const TOP = 20;

    /** Settings that show only once the comparison is made anew. */
    private const LEARNT = [
        'within',
        'comfort_volume',
        'model_lambda',
        'topic_evidence',
        'metric_sources',
        'volume_sources',
        'difficulty_sources',
        'cpc_sources',
        'authority_sources',
        'negatives',
    ];

    public function __construct(private ReadOpportunities $opportunities, private LearnModels $learn, private LearnEffect $effect)
    {
    }

    /**
     * @param array<string, string> $settings key → value as a person writes it
     *
     * @return array{keywords: int, horizons: list<array{from: ?string, to: ?string, keywords: int}>, gain: array{before: float,
     *     after: float}, before: list<string>, after: list<string>, not_shown: list<string>} gains in visits a month
     */
    public function execute(Study $study, Comparison $comparison, array $settings): array
    {
        $rulebook = $study->rulebook()->with($settings);
        $old = $study->rulebook();
        $first = $this->opportunities->execute(
            $comparison,
            Sentence::parse(''),
            $old->priorities(),
            $old->fitGate(),
            0,
            self::TOP,
            pinsFirst: false,
        );
        $moved = DB::transaction(fn(): array => $this->weighAnew($study, $comparison, $rulebook));

        /** @var list<string> $before */
        $before = array_column($first['rows'], 'keyword');

        $moved['before'] = $before;
        $moved['not_shown'] = array_values(array_intersect(self::LEARNT, array_keys($settings)));

        return $moved;
    }

    /**
     * @return array{keywords: int, horizons: list<array{from: ?string, to: ?string, keywords: int}>, gain: array{before: float,
     *     after: float}, after: list<string>}
     */
    private function weighAnew(Study $study, Comparison $comparison, Rulebook $rulebook): array
    {
        $weigher = $this->weigher($study, $comparison, $rulebook);
        $order = new OpportunityOrder($rulebook->priorities());
        $judgements = (new KeywordStreams($study->id))->judgements();
        $gate = $rulebook->fitGate();
        $top = $changes = [];
        $keywords = 0;
        $gain = ['before' => 0.0, 'after' => 0.0];
        foreach (self::rows($comparison) as $row) {
            $opportunity = $weigher->weigh(self::candidate($row, $judgements));
            [6 => $from, 7 => $gained] = $row;
            $to = $opportunity->horizon?->value;
            if ($from !== $to) {
                $changes[$from.'|'.$to] ??= ['from' => $from, 'to' => $to, 'keywords' => 0];
                ++$changes[$from.'|'.$to]['keywords'];
            }
            ++$keywords;
            $gain['before'] += (float) $gained;
            $gain['after'] += (float) $opportunity->clicks->gain;
            if ($gate->lets($opportunity->scores->at(Criterion::Fit))) {
                $top = self::kept($top, $opportunity, $order);
            }
        }

        return [
            'keywords' => $keywords,
            'horizons' => array_values($changes),
            'gain' => $gain,
            'after' => array_map(static fn(Opportunity $one): string => $one->candidate->row->keyword, $top),
        ];
    }

    /**
     * @param list<Opportunity> $top the best so far, best first
     *
     * @return list<Opportunity>
     */
    private static function kept(array $top, Opportunity $one, OpportunityOrder $order): array
    {
        if (\count($top) === self::TOP && $order->compare($top[self::TOP - 1], $one) <= 0) {
            return $top;
        }
        $top[] = $one;
        usort($top, $order->compare(...));

        return \array_slice($top, 0, self::TOP);
    }

    private function weigher(Study $study, Comparison $comparison, Rulebook $rulebook): Weigher
    {
        $models =
            $comparison->models() ??
            throw Refused::because('comparison', 'It was made by rules before these; compare anew, then try the rulebook.');

        // What is listed bears no competitor's brand, and that no setting changes.
        $taught = $models->withCurve($this->curve($study, $models, $rulebook))->withEffect($this->effect->by($study, $rulebook));

        return new Weigher($rulebook->weighing(), $taught, BrandMatcher::of([]));
    }

    private function curve(Study $study, Models $models, Rulebook $rulebook): CtrCurve
    {
        $own = static fn(Rulebook $of): array => [$of->text('curve'), $of->numbers('curve_own'), $of->float('curve_prior')];
        if ($own($rulebook) === $own($study->rulebook())) {
            return $models->curve;
        }

        return $this->learn->curve($rulebook, new KeywordStreams($study->id), $this->learn->brands($study->comparedDomains()));
    }

    /** @return iterable<WeighedLine> keyword, standing, own position, volume, difficulty, CPC, horizon, gain, topic, ground, features */
    private static function rows(Comparison $comparison): iterable
    {
        /** @var iterable<WeighedLine> */
        return RowStream::of(<<<SQL
            SELECT keyword, standing, own_position, volume, difficulty, cpc, horizon, gain, topic, ground_held, ground_of, features
            FROM {$comparison->table()->from()} WHERE is_listed ORDER BY keyword
            SQL);
    }

    /**
     * @param WeighedLine            $row
     * @param KeyedStream<Judgement> $judgements
     */
    private static function candidate(array $row, KeyedStream $judgements): Candidate
    {
        [$keyword, $standing, $position, $volume, $difficulty, $cpc, , , $topic, $held, $of, $features] = $row;

        return new Candidate(
            new ComparisonRow($keyword, Standing::from($standing), [$position], [null], [], null, null, 0, 0, 0, null),
            new Metrics($volume, Figures::float($difficulty), Figures::float($cpc)),
            $judgements->at($keyword) ?? new Judgement(),
            Ground::kept($held, $of),
            topic: $topic,
            features: FeatureClicks::read((string) $features),
        );
    }
}
