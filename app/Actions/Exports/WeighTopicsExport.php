<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Actions\Plans\RoadmapStatus;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Rows\PrioritySql;
use App\Support\Tabular\Table;
use GreaterReach\Core\Priority\Weights;

/** The topics of a comparison that have open keywords, in the order of their priority. */
final class WeighTopicsExport
{
    private const HEADINGS = [
        'rank',
        'topic',
        'lead',
        'keywords',
        'own_url',
        'own_position',
        'target',
        'volume',
        'difficulty',
        'visits_now',
        'potential',
        'gain',
        'win_chance',
        'expected_gain',
        'priority',
        'horizon',
        'tactic',
        'effort_days',
        'worth',
        'links_to_earn',
        'intent',
        'roadmap',
    ];
    private const FLOATS = [8, 9, 10, 11, 12, 13, 14, 17, 18];

    /** The rows are read as they are asked for, inside a transaction of the caller's. */
    public function table(Study $study, Comparison $comparison, Weights $weights): Table
    {
        return new Table(self::HEADINGS, self::rows($comparison, $weights, RoadmapStatus::of($study, $comparison)));
    }

    /** @return \Generator<int, list<string|int|float|bool|null>> */
    private static function rows(Comparison $comparison, Weights $weights, RoadmapStatus $roadmap): \Generator
    {
        $priority = PrioritySql::expression($weights);
        $order = PrioritySql::order($weights, 'topic');
        $from = $comparison->topicTable()->from();
        $sql = <<<SQL
            SELECT 0, topic, lead, keywords, own_url, own_position, target, volume, difficulty, visits_now, potential, gain, win_chance,
                expected_gain, {$priority}, horizon, tactic, effort_days, worth, links_to_earn, intent
            FROM {$from} ORDER BY {$order}
            SQL;

        return RankedLines::of($sql, self::FLOATS, $roadmap->topics);
    }
}
