<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Actions\Plans\PlanQuery;
use App\Models\Study;
use App\Support\Tabular\Table;
use GreaterReach\Core\Plan\Unit;

/** The roadmap as it stands, a row per item: what waits last, the rest by month. */
final readonly class RoadmapExport
{
    private const HEADINGS = [
        'month',
        'item',
        'planned_as',
        'lead',
        'keywords',
        'own_url',
        'tactic',
        'status',
        'owner',
        'due',
        'effort_days',
        'links_to_earn',
        'expected_gain',
        'win_chance',
        'publish_by',
    ];

    public function __construct(private PlanQuery $read)
    {
    }

    public function table(Study $study): Table
    {
        return new Table(self::HEADINGS, array_map(static fn(array $item): array => [
            $item['month'], $item['name'], $item['unit'], $item['lead'], \count($item['keywords']), $item['own_url'],
            $item['tactic'], $item['status'], $item['owner'], $item['due'],
            $item['effort_days'], $item['links_to_earn'], $item['expected_gain'], $item['win_chance'], $item['publish_by'],
        ], $this->read->execute($study)['items']));
    }

    /**
     * @return list<array{month: string, item: string, lead: string, identity: string, tactic: string, effort_days: float,
     *     expected_gain: float, win_chance: float, publish_by: ?string}> items that have a month and are not dropped
     */
    public function planned(Study $study): array
    {
        $planned = array_filter(
            $this->read->execute($study)['items'],
            static fn(array $item): bool => $item['month'] !== null && $item['status'] !== 'dropped',
        );

        return array_values(
            array_map(
                static fn(array $item): array => [
                    'month' => $item['month'],
                    'item' => $item['name'],
                    'lead' => $item['lead'],
                    // A keyword by itself may bear the name of a topic.
                    'identity' => $item['unit'] === Unit::Topic->value ? $item['name'] : $item['unit'].' '.$item['name'],
                    'tactic' => $item['tactic'],
                    'effort_days' => $item['effort_days'],
                    'expected_gain' => $item['expected_gain'] ?? 0.0,
                    'win_chance' => $item['win_chance'] ?? 0.0,
                    'publish_by' => $item['publish_by'],
                ],
                $planned,
            ),
        );
    }
}
