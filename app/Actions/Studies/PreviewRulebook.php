<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Actions\Bench\OpportunitiesQuery;
use App\Actions\Comparisons\KeywordStreams;
use App\Actions\Comparisons\LearnEffects;
use App\Actions\Comparisons\LearnModels;
use App\Actions\Comparisons\StoredRows;
use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\OpportunityOrder;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Facades\DB;

/**
 * What a changed rulebook would move, before it is saved: horizons, and the first twenty before and after. Every listed
 * row of the comparison on show is weighed again by the same rules; what is learnt from the whole study stays as it is.
 */
final readonly class PreviewRulebook
{
    private const TOP = 20;

    /** Settings that show only once the comparison is made again. */
    private const LEARNT = [
        'within',
        'movement_noise',
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

    public function __construct(private OpportunitiesQuery $opportunities, private LearnModels $learn, private LearnEffects $effect)
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
        $stored = new StoredRows($study->id, $this->models($study, $comparison, $rulebook), $rulebook);
        $listed = ComparisonRows::read($comparison->table()->query()->where('is_listed', true)->orderBy('keyword'));
        $order = new OpportunityOrder($rulebook->priorities());
        $gate = $rulebook->fitGate();
        $top = $changes = [];
        $keywords = 0;
        $gain = ['before' => 0.0, 'after' => 0.0];
        foreach ($stored->weighed($listed) as [$row, $opportunity]) {
            $from = $row->horizon?->value;
            $to = $opportunity->horizon?->value;
            if ($from !== $to) {
                $changes[$from.'|'.$to] ??= ['from' => $from, 'to' => $to, 'keywords' => 0];
                ++$changes[$from.'|'.$to]['keywords'];
            }
            ++$keywords;
            $gain['before'] += (float) $row->gain;
            $gain['after'] += (float) $opportunity->work->gain;
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

    private function models(Study $study, Comparison $comparison, Rulebook $rulebook): Models
    {
        $models = $comparison->models()
            ?? throw UserError::because('comparison', 'This comparison uses old rules. Wait for the new one, then try again.');

        return $models->withCurve($this->curve($study, $models, $rulebook))
            ->withEffects($models->effects->taughtBy(...$this->effect->finished($study, $rulebook)));
    }

    private function curve(Study $study, Models $models, Rulebook $rulebook): CtrCurve
    {
        $own = static fn(Rulebook $of): array => [$of->text('curve'), $of->numbers('curve_own'), $of->float('curve_prior')];
        if ($own($rulebook) === $own($study->rulebook())) {
            return $models->curve;
        }

        return $this->learn->curve($rulebook, new KeywordStreams($study->id), $this->learn->brands($study->comparedDomains()));
    }
}
