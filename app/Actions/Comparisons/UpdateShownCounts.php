<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RankedRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Rulebook\Rulebook;

/** Stores the counts that Compare and Weigh show first, so that the list of studies need not count. */
final class UpdateShownCounts
{
    /** After a change of the roadmap or of a decision, which hides rows or brings them back. */
    public function ofStudy(Study $study): void
    {
        if ($study->comparison !== null) {
            $this->execute($study->comparison, $study->rulebook());
        }
    }

    public function execute(Comparison $comparison, Rulebook $rulebook): void
    {
        $comparison->update([
            'shown_gaps' => (new ComparisonRows($comparison))->query(Sentence::parse('standing=gap;'.Sentence::START))->count(),
            'shown_quick_wins' => $comparison->table()->query()->whereNotNull('horizon')->doesntExist() ? null : (new RankedRows(
                $comparison,
                Sentence::parse('horizon=quick win;'.Sentence::START_WEIGHING),
                $rulebook->fitGate(),
                true,
            ))->count(),
        ]);
    }
}
