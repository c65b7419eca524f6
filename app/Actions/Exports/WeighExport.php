<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Actions\Plans\RoadmapStatus;
use App\Models\Comparison;
use App\Models\Study;
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
        'worth',
        'roadmap',
    ];
    private const FLOATS = [6, 7, 8, 9, 10, 11, 12, 13, 19];

    /** The rows are read as they are asked for, inside a transaction of the caller's. */
    public function table(Study $study, Comparison $comparison, Weights $weights, FitGate $gate): Table
    {
        return new Table(self::HEADINGS, self::rows($comparison, $weights, $gate, RoadmapStatus::of($study, $comparison)));
    }

    /** @return \Generator<int, list<string|int|float|bool|null>> */
    private static function rows(Comparison $comparison, Weights $weights, FitGate $gate, RoadmapStatus $roadmap): \Generator
    {
        $listed = ListedRows::condition($gate);
        $priority = PrioritySql::expression($weights);
        $order = PrioritySql::order($weights);
        $sql = <<<SQL
            SELECT 0, keyword, standing, own_position, target, volume, difficulty, ground, visits_now, potential, gain, win_chance,
                expected_gain, {$priority}, horizon, tactic, links_to_earn, intent, topic, worth
            FROM {$comparison->table()->from()} WHERE {$listed} ORDER BY {$order}
            SQL;

        return RankedLines::of($sql, self::FLOATS, $roadmap->keywords);
    }
}
