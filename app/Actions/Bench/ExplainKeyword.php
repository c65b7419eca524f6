<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Actions\Comparisons\StoredRows;
use App\Actions\Site\ConversionRatesQuery;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\Figures;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Explanation\Explainer;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\FigureInputs;
use GreaterReach\Core\Priority\HorizonRule;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Results\PageOne;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\Evidence;
use GreaterReach\Core\Winning\EvidenceFact;
use GreaterReach\Core\Winning\PageOneResult;
use GreaterReach\Core\Winning\PlaceClass;
use Illuminate\Support\Facades\DB;

/**
 * Gathers what the figures of one keyword were computed from, so that the core can say why they are what they are.
 *
 * @phpstan-type Places array{classes: list<array{name: string, chance: float, holds_us: bool}>,
 *     targets: list<array{target: int, win_chance: float, gain: ?float, expected_gain: ?float}>}
 * @phpstan-import-type PageOneEvidence from KeywordQuery
 * @phpstan-import-type FigureSource from KeywordQuery
 */
final class ExplainKeyword
{
    /** Targets that can be tried. */
    private const TARGETS = 20;

    /**
     * @param list<FigureSource> $sources as the dossier shows them
     *
     * @return array{why: array<string, Explanation>, money: array<string, ?float>, places: ?Places} figure → explanation, what the gain is
     *     worth a month, and where we could stand; empty where nothing was weighed, no places where the difficulty is unknown
     */
    public function figures(Comparison $comparison, WeighedRow $row, array $sources, Weights $weights): array
    {
        $models = $comparison->models();
        if ($models === null || $row->scores === null || $row->tactic === null) {
            return ['why' => [], 'money' => [], 'places' => null];
        }
        $facts = $this->facts($comparison, $models, $row, $row->scores, $sources, $weights);
        $clicks = $facts->clicks();

        return ['why' => (new Explainer($facts))->all(), 'money' => [
            'gain_value' => $clicks->gainValue($facts->cpc),
            'conversions' => $clicks->conversions($facts->conversion->rate),
            'revenue' => $clicks->revenue($facts->conversion->rate, $facts->conversion->value),
        ], 'places' => $this->places($facts)];
    }

    /** @param list<FigureSource> $sources */
    private function facts(
        Comparison $comparison,
        Models $models,
        WeighedRow $row,
        Scores $scores,
        array $sources,
        Weights $weights,
    ): FigureInputs {
        $study = Study::query()->findOrFail($comparison->study_id);
        $rulebook = $study->rulebook();
        $settings = $rulebook->weighing();
        [[, $opportunity]] = [...StoredRows::of($study, $models)->weighed([$row])];

        return new FigureInputs(
            $row->ownPosition,
            $row->volume,
            $row->volumeDerived ? 'mean of twelve monthly volumes' : self::sourceOf($sources, 'volume', $row->volume),
            $row->difficulty,
            self::sourceOf($sources, 'difficulty', $row->difficulty),
            $this->wantedTarget($comparison->study_id, $row, $rulebook),
            $models->curve,
            CurveName::of($rulebook->text('curve'), $models->curve),
            $models->positions,
            $models->effects,
            $row->pageKind(),
            $settings->movingShare,
            $row->heldGround(),
            RelatingStems::of($study, $models, (string) $row->topicFound),
            $opportunity->work,
            $row->measured(),
            $settings->titleSuccess,
            (new FeatureClicks($rulebook->shares('feature_clicks')))->shareLeft(FeatureClicks::read((string) $row->features)),
            $models->links,
            $row->pageOneMedian,
            $row->ownPageLinks ?? 0,
            new HorizonRule($settings, $models->comfort),
            $scores,
            $weights,
            $row->cpc,
            self::sourceOf($sources, 'cpc', $row->cpc),
            ConversionRatesQuery::of($study)->at($row->ownUrl, $row->intent),
        );
    }

    /**
     * The chance of every class of places, wherever we stand, and what each target would bring.
     *
     * @return ?Places null where the difficulty is unknown
     */
    private function places(FigureInputs $facts): ?array
    {
        if ($facts->difficulty === null) {
            return null;
        }
        $ours = PlaceClass::of($facts->position);
        $classes = [];
        foreach ($facts->positions->chances($facts->difficulty, $facts->ground, $facts->volume)->byClass() as $class => $chance) {
            $classes[] = ['name' => PlaceClass::names()[$class], 'chance' => $chance, 'holds_us' => $class === $ours];
        }
        $targets = [];
        $last = $facts->position === null ? self::TARGETS : min(self::TARGETS, $facts->position - 1);
        for ($target = 1; $target <= $last; ++$target) {
            $prospect = $facts->prospect($target);
            $targets[] = [
                'target' => $target,
                'win_chance' => (float) $prospect->winChance,
                'gain' => $facts->clicks($target)->gain,
                'expected_gain' => $prospect->expectedGain,
            ];
        }

        return ['classes' => $classes, 'targets' => $targets];
    }

    /**
     * @param list<PageOneEvidence> $pageOne
     *
     * @return list<EvidenceFact> what speaks for and against winning it
     */
    public function evidence(Comparison $comparison, WeighedRow $row, array $pageOne): array
    {
        $models = $comparison->models();
        if ($models === null) {
            return [];
        }
        $study = Study::query()->findOrFail($comparison->study_id);
        $rulebook = $study->rulebook();
        $positions = $row->positions;
        $competitors = [];
        foreach (\array_slice($comparison->domains, 1) as $number => $domain) {
            $competitors[$domain['entry']] = ['position' => $positions[$number + 1] ?? null, 'authority' => $domain['authority']];
        }
        $results = array_map(
            static fn(array $result): PageOneResult => new PageOneResult(
                $result['position'],
                $result['url'],
                $result['authority'],
                $result['page_strength'],
                $result['referring_domains'],
                $result['title'],
            ),
            $pageOne,
        );
        $first = array_values(array_filter($results, static fn(PageOneResult $result): bool => $result->position <= PageOne::LAST));

        return (new Evidence($models->comfort, $comparison->domains[0]['authority'] ?? null, $rulebook->float('peer_band')))->of(
            $row->keyword,
            $row->difficulty,
            $row->heldGround(),
            RelatingStems::of($study, $models, (string) $row->topicFound),
            $competitors,
            $first,
        );
    }

    private function wantedTarget(int $study, WeighedRow $row, Rulebook $rulebook): int
    {
        $set = DB::table('decisions')->where('study_id', $study)->where('keyword', $row->keyword)->value('target');

        return is_int($set) ? $set : Potential::usualTarget($row->ownPosition, $rulebook->int('target'), $rulebook->int('target_near'));
    }

    /** @param list<FigureSource> $sources */
    private static function sourceOf(array $sources, string $metric, int|float|null $value): string
    {
        foreach ($sources as $source) {
            if ($value !== null && $source[$metric] === $value) {
                return ($source['kind'] === 'keywords' ? 'keyword list' : 'rankings of '.$source['domain']).
                    ', '.
                    $source['file'].
                    ', '.
                    $source['day'];
            }
        }

        return '';
    }
}
