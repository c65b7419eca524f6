<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\CopyWriter;
use App\Support\Database\TopicTable;
use GreaterReach\Core\Plan\WeighedTopic;

/** The weighed topics of comparisons, as they are kept. */
final class TopicRows
{
    public static function writer(TopicTable $table): CopyWriter
    {
        return new CopyWriter($table->name(), [
            'comparison_id', 'topic', 'lead', 'keywords', 'own_url', 'own_position', 'target', 'volume', 'difficulty', 'cpc', 'visits_now',
            'potential', 'gain', 'win_chance', 'expected_gain', 'horizon', 'tactic', 'links_to_earn', 'intent', 'effort_days', 'worth',
            ...RowCatalogue::scores(),
        ]);
    }

    /** @return list<mixed> a value for each column of the writer */
    public static function cells(int $comparison, WeighedTopic $topic): array
    {
        [$lead, $work] = [$topic->lead, $topic->work];

        return [
            $comparison, $topic->topic, $lead->keyword, $topic->keywords, $topic->ownUrl, $lead->ownPosition, $work->target,
            $topic->volume, $lead->difficulty, $topic->cpc, $topic->visitsNow, $topic->potential, $work->gain, $work->winChance,
            $work->expectedGain, $topic->horizon, $work->tactic, $lead->linksToEarn, $topic->intent, $topic->effortDays, $topic->worth,
            ...array_values($topic->scores->toArray()),
        ];
    }
}
