<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\Figures;
use App\Support\Database\RowStream;
use App\Support\Rows\ListedRows;
use App\Support\Rows\PrioritySql;
use App\Support\Rows\RankedTopics;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\OpportunityOrder;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** How steady the places at the top of a ranked list are, whatever the weights. */
final class SteadinessQuery
{
    private const TOLD_EVERY = 10_000;

    /**
     * @param bool                 $isByTopic of pages instead of keywords
     * @param ?\Closure(int): void $tell      told the number of rows read, now and then
     *
     * @return array{top: int, draws: int, shares: array<string, array{share: float, meaning: string}>, otherwise: string} keyword, or
     *     topic → share of the draws in which it stays in the top, and what that means; who is not named never comes there
     */
    public function execute(
        Comparison $comparison,
        Sentence $sentence,
        Rulebook $rulebook,
        Weights $weights,
        bool $isByTopic = false,
        ?\Closure $tell = null,
    ): array {
        [$draws, $top] = [$rulebook->int('steadiness_draws'), $rulebook->int('steadiness_top')];
        $listed = $isByTopic
            ? (new RankedTopics($comparison, $sentence, $rulebook->fitGate()))->all()->selectRaw('topic AS name')
            : ListedRows::of($comparison, $sentence, $rulebook->fitGate())->select('comparison_rows.keyword AS name');
        $listed->orderByRaw($isByTopic ? PrioritySql::BEYOND_TOPICS : PrioritySql::BEYOND);
        $shares = [];
        $places = $top;
        for ($part = 0; $part < OpportunityOrder::PARTS && $places > 0; ++$part) {
            $here = DB::transaction(
                static fn(): array => Steadiness::ofScores(
                    self::scores($listed, $part, $weights->criteria(), $tell),
                    \count($weights->criteria()),
                    $draws,
                    $places,
                    $rulebook->int('seed'),
                ),
            );
            foreach ($here as $keyword => $share) {
                $shares[$keyword] = ['share' => $share, 'meaning' => Steadiness::meaning($share)];
            }
            $places -= \count($here);
        }

        return ['top' => $top, 'draws' => $draws, 'shares' => $shares, 'otherwise' => Steadiness::meaning(0.0)];
    }

    /**
     * @param list<Criterion>      $criteria that count
     * @param ?\Closure(int): void $tell     told the number of rows read, now and then
     *
     * @return \Generator<string, list<?float>> scores of one part of the order, as they stand where priorities are equal
     */
    private static function scores(Builder $listed, int $part, array $criteria, ?\Closure $tell): \Generator
    {
        $names = array_map(static fn(Criterion $one): string => $one->value, $criteria);
        $query = $listed
            ->clone()
            ->addSelect(array_map(RowCatalogue::score(...), $names))
            ->whereRaw(PrioritySql::PART.' = '.$part);
        $read = 0;
        foreach (RowStream::ofQuery($query) as $row) {
            if (++$read % self::TOLD_EVERY === 0 && $tell !== null) {
                $tell($read);
            }
            $keyword = (string) array_shift($row);
            yield $keyword => array_map(Figures::float(...), $row);
        }
    }
}
