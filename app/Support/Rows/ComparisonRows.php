<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Sentence\Sentence;
use App\Support\Sentence\SentenceCompiler;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The rows of one comparison beside what people decided about them, narrowed by a sentence. */
final readonly class ComparisonRows
{
    public function __construct(private Comparison $comparison)
    {
    }

    public function query(Sentence $sentence): Builder
    {
        $rows = DB::table('comparison_rows')
            ->where('comparison_rows.study_id', $this->comparison->study_id)
            ->where('comparison_id', $this->comparison->id)
            ->leftJoinSub(
                DB::table('decisions')->select('keyword as decided', 'mark', 'reason')->where('study_id', $this->comparison->study_id),
                'decisions',
                'decided',
                '=',
                'keyword',
            );

        return (new SentenceCompiler(count($this->comparison->competitors())))->apply($rows, $sentence);
    }

    /** @return array<string, mixed> one row as the API gives it */
    public static function present(\stdClass $row): array
    {
        $float = static fn(string|float|null $value): ?float => $value === null ? null : (float) $value;

        return [
            'keyword' => $row->keyword,
            'standing' => $row->standing,
            'positions' => Figures::ints($row->positions),
            'previous' => Figures::ints($row->previous),
            'own_url' => $row->own_url,
            'competitors_ranking' => $row->competitors_ranking,
            'competitors_above' => $row->competitors_above,
            'movement' => $row->movement,
            'volume' => $row->volume,
            'volume_derived' => $row->volume_derived,
            'difficulty' => $float($row->difficulty),
            'cpc' => $float($row->cpc),
            'target' => $row->target,
            'visits_now' => $float($row->visits_now),
            'potential' => $float($row->potential),
            'gain' => $float($row->gain),
            'win_chance' => $float($row->win_chance),
            'expected_gain' => $float($row->expected_gain),
            'horizon' => $row->horizon,
            'tactic' => $row->tactic,
            'links_to_earn' => $row->links_to_earn,
            'intent' => $row->intent,
            'topic' => $row->topic,
            'mark' => $row->mark,
            'reason' => $row->reason,
        ];
    }
}
