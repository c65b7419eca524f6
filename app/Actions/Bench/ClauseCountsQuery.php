<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\LongList;
use App\Support\Rows\RankedRows;
use App\Support\Rows\RankedTopics;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\FitGate;

/** What each clause of a sentence leaves of a list, up to the one that takes the last row. */
final class ClauseCountsQuery
{
    /** @return list<array{clause: string, keywords: int}> keywords, or pages in their list */
    public function execute(Comparison $comparison, Sentence $sentence, LongList $list, FitGate $gate): array
    {
        $steps = [];
        foreach ($sentence->clauses as $number => $clause) {
            $left = self::count($comparison, $sentence->first($number + 1), $list, $gate);
            $steps[] = ['clause' => (string) $clause, 'keywords' => $left];
            if ($left === 0) {
                break;
            }
        }

        return $steps;
    }

    /** @return int rows that a list has with a sentence */
    public static function count(Comparison $comparison, Sentence $sentence, LongList $list, FitGate $gate): int
    {
        return match ($list) {
            LongList::Weigh => (new RankedRows($comparison, $sentence, $gate, false))->count(),
            LongList::Pages => (new RankedTopics($comparison, $sentence, $gate))->count(),
            LongList::Compare => (new ComparisonRows($comparison))->query($sentence)->count(),
        };
    }
}
