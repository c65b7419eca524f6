<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Rows\RankedTopics;
use App\Support\Sentence\RoadmapKeywords;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Weights;

/** One page of the ranked list of topics: the pages to make or to improve. */
final readonly class TopicsQuery implements RankedList
{
    public function __construct(private RoadmapKeywords $roadmap)
    {
    }

    /**
     * @param string $sort the priority, or one of the orders of the list
     *
     * @return array{rows: list<array<string, mixed>>, next: ?string, total: int}
     *
     * @throws UserError when there is no such order
     */
    public function execute(
        Comparison $comparison,
        Sentence $sentence,
        Weights $weights,
        FitGate $gate,
        int $offset,
        int $limit,
        string $sort = self::BY_PRIORITY,
        bool $descending = true,
    ): array {
        $list = new RankedTopics($comparison, $sentence, $gate);
        $total = $list->count();
        $rows = [];
        $planned = $this->roadmap->topics($comparison);
        foreach ($list->page($weights, $offset, $limit, self::column($sort), $descending) as $number => $topic) {
            $status = $planned[(string) Figures::text($topic->topic)] ?? null;
            $rows[] = ['rank' => $offset + $number + 1, ...self::told($topic), 'roadmap' => $status];
        }

        return ['rows' => $rows, 'next' => $offset + $limit < $total ? (string) ($offset + $limit) : null, 'total' => $total];
    }

    /** @return ?string null for the priority */
    private static function column(string $sort): ?string
    {
        return $sort === self::BY_PRIORITY
            ? null
            : RankedTopics::orders()[$sort] ?? throw UserError::because(
                'sort',
                sprintf('Sort by one of %s.', implode(', ', [self::BY_PRIORITY, ...array_keys(RankedTopics::orders())])),
            );
    }

    /** @return array<string, mixed> */
    private static function told(\stdClass $topic): array
    {
        return [
            'topic' => $topic->topic,
            'lead' => $topic->lead,
            'keywords' => Figures::int($topic->keywords),
            'shortlisted' => Figures::int($topic->shortlisted),
            'pinned' => $topic->pinned,
            'own_url' => $topic->own_url,
            'lead_url' => $topic->lead_url,
            'own_position' => Figures::int($topic->own_position),
            'target' => Figures::int($topic->target),
            'volume' => Figures::int($topic->volume),
            'difficulty' => Figures::float($topic->difficulty),
            'cpc' => Figures::float($topic->cpc),
            'visits_now' => Figures::float($topic->visits_now),
            'potential' => Figures::float($topic->potential),
            'gain' => Figures::float($topic->gain),
            'win_chance' => Figures::float($topic->win_chance),
            'expected_gain' => Figures::float($topic->expected_gain),
            'horizon' => $topic->horizon,
            'tactic' => $topic->tactic,
            'links_to_earn' => Figures::int($topic->links_to_earn),
            'intent' => $topic->intent,
            'effort_days' => Figures::float($topic->effort_days),
            'worth' => Figures::float($topic->worth),
            'priority' => Figures::float($topic->priority),
            'scores' => RankedTopics::scores($topic),
        ];
    }
}
