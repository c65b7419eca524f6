<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Rows\ListedRows;
use App\Support\Rows\PrioritySql;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Facades\DB;

/** How steady the places at the top of a ranked list are, whatever the weights. */
final class ReadSteadiness
{
    /**
     * @return array{top: int, draws: int, shares: array<string, array{share: float, meaning: string}>, otherwise: string} keyword →
     *     share of the draws in which it stays in the top, and what that means; who is not named never comes there
     */
    public function execute(Comparison $comparison, Sentence $sentence, Rulebook $rulebook): array
    {
        [$draws, $top] = [$rulebook->int('steadiness_draws'), $rulebook->int('steadiness_top')];
        $names = RowCatalogue::scores();
        $listed = ListedRows::of($comparison, $sentence, $rulebook->fitGate())
            ->whereNotNull('gain')
            ->select(['keyword', 'gain', 'difficulty', ...$names])
            ->selectRaw('row_number() OVER (PARTITION BY '.implode(', ', $names).' ORDER BY '.PrioritySql::BEYOND.') AS place');
        // No more rows of the same scores than there are places can ever be in the top.
        /** @var list<array<string, int|string|null>> $rows each score and the place */
        $rows = DB::query()->fromSub($listed, 'listed')->where('place', '<=', $top)->orderByRaw(PrioritySql::BEYOND)->get()
            ->map(static fn(\stdClass $row): array => (array) $row)->all();
        $scores = array_map(
            static fn(array $row): Scores => Scores::inOrder(
                ...array_map(static fn(string $name): ?int => $row[$name] === null ? null : (int) $row[$name], $names),
            ),
            $rows,
        );
        $shares = array_combine(
            array_map(static fn(array $row): string => (string) $row['keyword'], $rows),
            Steadiness::ofScores($scores, $draws, $top, $rulebook->int('seed')),
        );

        return [
            'top' => $top,
            'draws' => $draws,
            'shares' => array_map(
                static fn(float $share): array => ['share' => $share, 'meaning' => Steadiness::meaning($share)],
                array_filter($shares),
            ),
            'otherwise' => Steadiness::meaning(0.0),
        ];
    }
}
