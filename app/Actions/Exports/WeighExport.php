<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Models\Comparison;
use App\Support\Rows\ListedRows;
use App\Support\Rows\PrioritySql;
use App\Support\Tabular\Table;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Weights;

/** The opportunities of a comparison in the order of their priority. */
final class WeighExport
{
    private const HEADINGS = [
        'rank',
        'keyword',
        'standing',
        'own_position',
        'target',
        'volume',
        'difficulty',
        'ground',
        'visits_now',
        'potential',
        'gain',
        'win_chance',
        'expected_gain',
        'priority',
        'horizon',
        'tactic',
        'links_to_earn',
        'intent',
        'topic',
    ];
    private const FLOATS = [6, 7, 8, 9, 10, 11, 12, 13];

    /** The rows are read as they are asked for, inside a transaction of the caller's. */
    public function table(Comparison $comparison, Weights $weights, FitGate $gate): Table
    {
        return new Table(self::HEADINGS, self::rows($comparison, $weights, $gate));
    }

    /** @return \Generator<int, list<string|int|float|bool|null>> */
    private static function rows(Comparison $comparison, Weights $weights, FitGate $gate): \Generator
    {
        $listed = ListedRows::condition($gate);
        $priority = PrioritySql::expression($weights);
        $order = PrioritySql::order($weights);
        $sql = <<<SQL
            SELECT 0, keyword, standing, own_position, target, volume, difficulty, ground, visits_now, potential, gain, win_chance,
                expected_gain, {$priority}, horizon, tactic, links_to_earn, intent, topic
            FROM {$comparison->table()->from()} WHERE {$listed} ORDER BY {$order}
            SQL;

        return RankedLines::of($sql, self::FLOATS);
    }
}
