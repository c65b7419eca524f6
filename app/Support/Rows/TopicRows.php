<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\CopyWriter;
use GreaterReach\Core\Plan\WeighedTopic;

/** The weighed topics of comparisons, as they are kept. */
final class TopicRows
{
    public const TABLE = 'comparison_topics';

    /** Behind FROM: the topics of this comparison and no others. */
    public static function from(Comparison $comparison): string
    {
        return '(SELECT * FROM '.self::TABLE." WHERE comparison_id = {$comparison->id}) AS ".self::TABLE;
    }

    public static function writer(): CopyWriter
    {
        return new CopyWriter(self::TABLE, [
            'comparison_id', 'topic', 'lead', 'keywords', 'own_url', 'own_position', 'target', 'volume', 'difficulty', 'cpc', 'visits_now',
            'potential', 'gain', 'win_chance', 'expected_gain', 'horizon', 'tactic', 'links_to_earn', 'intent', 'effort_days', 'worth',
            ...RowCatalogue::scores(),
        ]);
    }

    /** @return list<mixed> a value for each column of the writer */
    public static function cells(Comparison $comparison, WeighedTopic $topic): array
    {
        $lead = $topic->lead;

        return [
            $comparison->id, $topic->topic, $lead->keyword, $topic->keywords, $topic->ownUrl, $lead->ownPosition, $lead->target,
            $topic->volume, $lead->difficulty, $topic->cpc, $topic->visitsNow, $topic->potential, $topic->gain, $lead->winChance,
            $topic->expectedGain, $topic->horizon, $lead->tactic, $lead->linksToEarn, $topic->intent, $topic->effortDays, $topic->worth,
            ...array_values($topic->scores->toArray()),
        ];
    }
}
