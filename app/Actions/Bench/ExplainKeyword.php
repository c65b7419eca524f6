<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Explanation\Explainer;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\Facts;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\StrikingDistance;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Statistics\Quantile;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Evidence;
use GreaterReach\Core\Winning\EvidenceFact;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\PageOneResult;
use GreaterReach\Core\Winning\WinChance;
use Illuminate\Support\Facades\DB;

/** Gathers what the figures of one keyword were computed from, so that the core can say why they are what they are. */
final class ExplainKeyword
{
    /**
     * @param list<array<string, mixed>> $sources as the dossier shows them
     *
     * @return array{why: array<string, Explanation>, money: array<string, ?float>} what the gain is worth a month, and
     *                                                                             figure → explanation; empty where nothing was weighed
     */
    public function figures(Comparison $comparison, \stdClass $row, array $sources): array
    {
        if (! isset($comparison->summary['win_model'])) {
            return ['why' => [], 'money' => []];
        }
        $facts = $this->facts($comparison, $row, $sources);
        $clicks = $facts->clicks();

        return ['why' => (new Explainer($facts))->all(), 'money' => [
            'gain_value' => $clicks->gainValue($facts->cpc),
            'conversions' => $clicks->conversions($facts->conversionRate),
            'revenue' => $clicks->revenue($facts->conversionRate, $facts->valuePerConversion),
        ]];
    }

    /** @param list<array<string, mixed>> $sources */
    private function facts(Comparison $comparison, \stdClass $row, array $sources): Facts
    {
        $rulebook = Study::query()->findOrFail($comparison->study_id)->rulebook();
        $model = $comparison->winModel() ?? throw new \LogicException('A comparison that was not weighed explains no figure.');

        return new Facts(
            $row->own_position,
            $row->volume,
            $row->volume_derived ? 'mean of twelve monthly volumes' : self::sourceOf($sources, 'volume', $row->volume),
            Figures::float($row->difficulty),
            self::sourceOf($sources, 'difficulty', Figures::float($row->difficulty)),
            $this->wantedTarget($comparison->study_id, $row->keyword, $rulebook),
            CtrCurve::ofRates(array_values(array_map(floatval(...), $comparison->summary['curve']))),
            $rulebook->text('curve'),
            $this->comfort($comparison),
            $model,
            new WinChance($model, $rulebook->float('head_start_11_20'), $rulebook->float('head_start_21_50')),
            $this->links($comparison),
            $this->pageOneMedian($comparison->study_id, $row->keyword),
            $this->ownPageLinks($comparison->study_id, $row->own_url),
            new StrikingDistance($rulebook->int('striking_from'), $rulebook->int('striking_to')),
            $rulebook->float('short_term_chance'),
            new Scores($row->score_volume, $row->score_ease, $row->score_gain, $row->score_value, $row->score_intent, $row->score_fit),
            Weights::of($rulebook->weights()),
            Tactic::from(str_replace(' + links', '', $row->tactic)),
            Figures::float($row->cpc),
            self::sourceOf($sources, 'cpc', Figures::float($row->cpc)),
            $rulebook->float('conversion_rate'),
            $rulebook->optionalFloat('value_per_conversion'),
        );
    }

    /**
     * @param list<array<string, mixed>> $pageOne
     *
     * @return list<EvidenceFact> what speaks for and against winning it
     */
    public function evidence(Comparison $comparison, \stdClass $row, array $pageOne): array
    {
        if (! isset($comparison->summary['comfort'])) {
            return [];
        }
        $rulebook = Study::query()->findOrFail($comparison->study_id)->rulebook();
        $positions = Figures::ints($row->positions);
        $competitors = [];
        foreach (\array_slice($comparison->domains, 1) as $number => $domain) {
            $competitors[$domain['entry']] = ['position' => $positions[$number + 1] ?? null, 'authority' => $domain['authority']];
        }
        $results = array_map(static fn(array $result): PageOneResult => new PageOneResult($result['position'], $result['url'], $result['authority'], $result['page_strength'], $result['referring_domains']), $pageOne);
        $first = array_values(array_filter($results, static fn(PageOneResult $result): bool => $result->position <= ComfortDifficulty::FIRST_PAGE));

        return (new Evidence($this->comfort($comparison), $comparison->domains[0]['authority'] ?? null, $rulebook->float('peer_band')))
            ->of(Figures::float($row->difficulty), $competitors, $first);
    }

    private function comfort(Comparison $comparison): ComfortDifficulty
    {
        $kept = $comparison->summary['comfort'];

        return ComfortDifficulty::known((float) $kept['value'], $kept['keywords'], $kept['isAssumed']);
    }

    private function links(Comparison $comparison): LinksNeeded
    {
        $kept = $comparison->summary['links'];

        return LinksNeeded::known((float) $kept['intercept'], (float) $kept['slope'], $kept['keywords'], $kept['isAssumed']);
    }

    private function wantedTarget(int $study, string $keyword, Rulebook $rulebook): int
    {
        $set = DB::table('decisions')->where('study_id', $study)->where('keyword', $keyword)->value('target');

        return is_int($set) ? $set : $rulebook->int('target');
    }

    private function pageOneMedian(int $study, string $keyword): ?float
    {
        $links = DB::table('live_results')->where('study_id', $study)->where('keyword', $keyword)->where('position', '<=', ComfortDifficulty::FIRST_PAGE)->whereNotNull('referring_domains')
            ->whereRaw('day = (SELECT max(day) FROM live_results WHERE study_id = ? AND keyword = ?)', [$study, $keyword])->pluck('referring_domains')->all();

        return $links === [] ? null : Quantile::median(array_map(floatval(...), array_values($links)));
    }

    private function ownPageLinks(int $study, ?string $url): int
    {
        return (int) DB::table('live_results')->where('study_id', $study)->where('url', $url)->whereNotNull('referring_domains')->orderByDesc('day')->orderByDesc('referring_domains')->value('referring_domains');
    }

    /** @param list<array<string, mixed>> $sources */
    private static function sourceOf(array $sources, string $metric, int|float|null $value): string
    {
        foreach ($sources as $source) {
            if ($value !== null && $source[$metric] === $value) {
                return ($source['kind'] === 'keywords' ? 'keyword list' : 'rankings of '.$source['domain']).', '.$source['file'].', '.$source['day'];
            }
        }

        return '';
    }
}
