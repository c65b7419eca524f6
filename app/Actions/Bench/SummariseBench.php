<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use Illuminate\Support\Facades\DB;

/** Counts beside the bench: how many rows, of which standing, which combinations, their sums, and what brands hide. */
final class SummariseBench
{
    /** @return list<array{clause: string, keywords: int}> what each clause of a sentence that shows nothing leaves, up to the one that takes the last row */
    private static function steps(ComparisonRows $rows, Sentence $sentence): array
    {
        $steps = [];
        foreach ($sentence->clauses as $number => $clause) {
            $left = $rows->query($sentence->first($number + 1))->count();
            $steps[] = ['clause' => (string) $clause, 'keywords' => $left];
            if ($left === 0) {
                break;
            }
        }

        return $steps;
    }

    /** @return array<string, mixed> */
    public function execute(Comparison $comparison, Sentence $sentence): array
    {
        $rows = new ComparisonRows($comparison);
        $totals = $rows->query($sentence)->selectRaw('count(*) AS keywords, sum(volume)::bigint AS volume, sum(visits_now) AS visits_now, sum(gain) AS gain')->first();
        $hidden = $sentence->has('brands') ? $rows->query($sentence->without('brands'))->count() - (int) ($totals->keywords ?? 0) : 0;
        $standings = $rows->query($sentence->without('standing'))->groupBy('standing')->select('standing', DB::raw('count(*) AS keywords'))->pluck('keywords', 'standing');
        $overlap = $rows->query($sentence->without('combination'))->where('presence', '>', 0)->groupBy('presence')->orderByDesc('keywords')->orderBy('presence')->get([DB::raw('presence AS combination'), DB::raw('count(*) AS keywords')]);

        return [
            'keywords' => (int) ($totals->keywords ?? 0),
            'of' => $comparison->summary['keywords'] ?? 0,
            'volume' => $totals->volume ?? null,
            'visits_now' => isset($totals->visits_now) ? (float) $totals->visits_now : null,
            'gain' => isset($totals->gain) ? (float) $totals->gain : null,
            'hidden_brands' => $hidden,
            'standings' => (object) $standings->all(),
            'overlap' => $overlap->all(),
            'steps' => (int) ($totals->keywords ?? 0) === 0 ? self::steps($rows, $sentence) : [],
        ];
    }
}
