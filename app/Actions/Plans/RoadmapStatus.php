<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Plan\Unit;

/** Which topics and keywords of a comparison are on the roadmap, and how far their items are; dropped items hold nothing. */
final readonly class RoadmapStatus
{
    /**
     * @param array<string, string> $topics   topic → status of the item that holds it
     * @param array<string, string> $keywords keyword → the same
     */
    private function __construct(public array $topics, public array $keywords)
    {
    }

    /** @return list<string> topics, or keywords, that are finished and so no candidates of a plan */
    public function finished(bool $isByTopic): array
    {
        $done = array_keys($isByTopic ? $this->topics : $this->keywords, ItemStatus::Done->value, true);

        return array_map(strval(...), $done);
    }

    public static function of(Study $study, Comparison $comparison): self
    {
        /** @var list<PlanItem> $items */
        $items = PlanItem::of($study)->orderBy('id')->get()->filter(static fn(PlanItem $item): bool => $item->isAlive())->values()->all();
        if ($items === [] || $comparison->models() === null) {
            return new self([], []);
        }
        $rows = new RoadmapRows($study, $comparison, $items);
        $topics = $keywords = [];
        foreach ($rows->open() as $number => $open) {
            $item = $items[$number];
            $topic = $rows->topics[$number];
            if ($item->unit === Unit::Topic && $topic !== null) {
                $topics[$topic] ??= $item->status;
            }
            foreach (array_map(static fn(WeighedRow $row): string => $row->keyword, $open) as $keyword) {
                $keywords[$keyword] = $item->status;
            }
        }

        return new self($topics, $keywords);
    }
}
