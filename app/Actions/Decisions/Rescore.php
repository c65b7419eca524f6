<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Actions\Comparisons\CountShown;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\FitRules;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Meaning\IntentRules;
use GreaterReach\Core\Priority\Bands;
use GreaterReach\Core\Priority\Weigher;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Facades\DB;

/**
 * Lets rows of the comparison on show follow a decision about fit, intent, target or topic at once, by the same rules that made
 * them; the next comparison comes to the same.
 */
final readonly class Rescore
{
    private const CHUNK = 1000;
    private const FOLLOWED = ['fit', 'intent', 'target', 'topic'];

    /** What can take a row out of what the stages show, or bring it back. */
    private const COUNTED = ['mark', 'fit', 'topic'];

    public function __construct(private CountShown $count)
    {
    }

    /**
     * @param list<string> $keywords
     * @param list<string> $columns  of the decision that were set
     */
    public function execute(Study $study, array $keywords, array $columns): void
    {
        $this->follow($study, $keywords, $columns);
        if ($study->comparison !== null && array_intersect($columns, self::COUNTED) !== []) {
            $this->count->execute($study->comparison, $study->rulebook());
        }
    }

    /**
     * @param list<string> $keywords
     * @param list<string> $columns
     */
    private function follow(Study $study, array $keywords, array $columns): void
    {
        $comparison = $study->comparison;
        if (\in_array('difficulty', $columns, true)) {
            // Chance, horizon, links and tactic hang on it: the comparison is made anew.
            $study->touchData();
        }
        if ($comparison !== null && \in_array('topic', $columns, true)) {
            self::moveTopics($comparison, $keywords);
        }
        if (array_intersect($columns, self::FOLLOWED) === [] || $comparison === null || ! isset($comparison->summary['curve'])) {
            return;
        }
        $rulebook = $study->rulebook();
        $curve = CtrCurve::ofRates(array_values(array_map(floatval(...), $comparison->summary['curve'])));
        foreach (array_chunk($keywords, self::CHUNK) as $chunk) {
            $this->chunk($comparison, $rulebook, $curve, $chunk);
        }
    }

    /**
     * Into the topic that a person chose, or back into the one that was found.
     *
     * @param list<string> $keywords
     */
    private static function moveTopics(Comparison $comparison, array $keywords): void
    {
        foreach (array_chunk($keywords, self::CHUNK) as $chunk) {
            DB::update("UPDATE {$comparison->table()->changed('c')} SET topic = coalesce((SELECT d.topic FROM decisions d WHERE d.study_id = ? AND d.keyword = c.keyword), c.topic_found)
                WHERE {$comparison->table()->conditions('c')} AND c.keyword IN (SELECT json_array_elements_text(?::json))", [$comparison->study_id, json_encode($chunk, JSON_THROW_ON_ERROR)]);
        }
    }

    /** @param list<string> $keywords */
    private function chunk(Comparison $comparison, Rulebook $rulebook, CtrCurve $curve, array $keywords): void
    {
        $decisions = DB::table('decisions')->where('study_id', $comparison->study_id)->whereIn('keyword', $keywords)->get(['keyword', 'fit', 'intent', 'target'])->keyBy('keyword');
        $rows = $comparison->table()->query()->whereIn('keyword', $keywords)->get(['keyword', 'volume', 'own_position', 'win_chance', 'topic']);
        $gainBands = Bands::of($rulebook->numbers('gain_bands'));
        $intents = IntentRules::of($rulebook->words('intent_buy'), $rulebook->words('intent_compare'), $rulebook->words('intent_learn'));
        $fits = FitRules::of($rulebook->fits());
        $values = $bindings = [];
        foreach ($rows as $row) {
            $decision = $decisions[$row->keyword] ?? null;
            $clicks = Potential::of($row->volume, $row->own_position, $decision->target ?? $rulebook->int('target'), $curve);
            $intent = isset($decision->intent) ? Intent::from($decision->intent) : $intents->intentOf($row->keyword);
            $chance = Figures::float($row->win_chance);
            $expected = $chance === null || $clicks->gain === null ? null : $chance * $clicks->gain;
            $values[] = '(?, ?::smallint, ?::float8, ?::float8, ?::smallint, ?, ?::smallint, ?::smallint)';
            // Floats as text: the driver would cut them short.
            array_push($bindings, $row->keyword, $clicks->target, self::exact($clicks->gain), self::exact($expected), $gainBands->rising($clicks->gain), $intent->value, Weigher::intentScore($intent), $decision->fit ?? $fits->fitOf(Words::of($row->keyword), $row->topic));
        }
        if ($values !== []) {
            DB::update("UPDATE {$comparison->table()->changed('c')} SET target = v.target, gain = v.gain, expected_gain = v.expected_gain, score_gain = v.score_gain, intent = v.intent, score_intent = v.score_intent, score_fit = v.score_fit
                FROM (VALUES ".implode(', ', $values).") v (keyword, target, gain, expected_gain, score_gain, intent, score_intent, score_fit)
                WHERE {$comparison->table()->conditions('c')} AND c.keyword = v.keyword", $bindings);
        }
    }

    private static function exact(?float $value): ?string
    {
        return $value === null ? null : Figures::exact($value);
    }
}
